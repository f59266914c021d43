import type { WantedSection } from '../../../data/shopfront';

/** The section with other words at a place such as "slides.0.title"; itself where there is no such place. */
export function withWords(section: WantedSection, field: string, words: string): WantedSection {
  const put = (at: unknown, [name, ...rest]: string[]): unknown => {
    if (name === undefined) return typeof at === 'string' ? words : at;
    if (Array.isArray(at)) return at.map((each, i) => (i === Number(name) ? put(each, rest) : each));
    if (typeof at !== 'object' || at === null || !(name in at)) return at;
    return { ...at, [name]: put((at as Record<string, unknown>)[name], rest) };
  };
  return put(section, field.split('.')) as WantedSection;
}
