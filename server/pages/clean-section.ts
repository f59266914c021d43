import type { SectionBody } from '../../core/model/sections/sections';
import { cleanRichText } from '../shared/rich-text';

/** A section with its rich texts as they may be stored and shown: wherever it holds HTML, the field is called so. */
export function cleanSection<S extends SectionBody>(section: S): S {
  const clean = (value: unknown, name: string): unknown => {
    if (name === 'html' && typeof value === 'string') return cleanRichText(value);
    if (Array.isArray(value)) return value.map((each) => clean(each, ''));
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, clean(each, key)]));
  };
  return clean(section, '') as S;
}
