import type { Languages } from '../model/languages';
import { fold } from '../shared/fold';
import { plainText } from '../shared/plain-text';

/** Something that is not the same in a translation and should be, in words for who translates. */
export interface TranslationProblem {
  about: 'numbers' | 'fill-ins' | 'links' | 'formats' | 'units' | 'glossary' | 'length';
  words: string;
}

const FILL_IN = /\{\w+\}/g;
const LINK = /(?:href|src)="([^"]*)"/g;
const TAG = /<\/?([a-z][a-z0-9]*)/gi;
const UNIT = /(?<=\d[\s\u00a0]?)(?:mm|cm|dm|km|m|g|kg|ml|cl|l|N|daN|kN|min|h|s|Bft|km\/h|m²|%|€|°)(?![\p{L}])/gu;

const count = (found: Iterable<string>) => {
  const counts = new Map<string, number>();
  for (const each of found) counts.set(each, (counts.get(each) ?? 0) + 1);
  return counts;
};

/** What one text has more often than the other. */
function lacking(wanted: Iterable<string>, there: Iterable<string>): string[] {
  const counts = count(there);
  return [...count(wanted)].flatMap(([each, times]) => (times > (counts.get(each) ?? 0) ? [each] : []));
}

const all = (pattern: RegExp, text: string, group = 0) => [...text.matchAll(pattern)].map((found) => found[group]!);

/** Numbers as amounts: "1.5" and "1,5" are the same, and so are "1,200" and "1.200". */
function numbersOf(text: string): string[] {
  return (plainText(text).match(/\d+(?:[.,]\d+)*/g) ?? []).map((number) => {
    const decimal = /[.,](\d{1,2})$/.exec(number);
    const whole = (decimal ? number.slice(0, decimal.index) : number).replace(/[.,]/g, '');
    return decimal ? `${whole}.${decimal[1]!.replace(/0+$/, '')}`.replace(/\.$/, '') : whole;
  });
}

const listed = (items: readonly string[]) => items.slice(0, 4).join(', ');

/** Terms of the glossary that a text uses and whose agreed translation its translation does not have. */
function otherwise(source: string, text: string, locale: string, { glossary }: Languages): string[] {
  const [from, to] = [` ${fold(plainText(source))} `, fold(plainText(text))];
  return glossary.flatMap(({ term, as }) => {
    const agreed = as[locale];
    if (!agreed) return [];
    const isUsed = new RegExp(
      `[^\\p{L}\\p{N}]${fold(term).replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?:s|es)?[^\\p{L}\\p{N}]`,
      'u',
    ).test(from);
    return isUsed && !to.includes(fold(agreed)) ? [`“${term}” is “${agreed}” elsewhere`] : [];
  });
}

/**
 * What a translation lost of its source, or put in: numbers, fill-ins such as {count}, links, formats, units; terms that are
 * translated otherwise elsewhere; words that a search engine or a button would cut. None for a translation without such slips.
 */
export function translationProblems(
  { source, text, locale, most }: { source: string; text: string; locale: string; most?: number },
  languages: Languages,
): TranslationProblem[] {
  const problems: TranslationProblem[] = [];
  const tell = (
    about: TranslationProblem['about'],
    missing: readonly string[],
    extra: readonly string[],
    name: string,
  ) => {
    if (missing.length > 0) problems.push({ about, words: `${name} missing: ${listed(missing)}.` });
    if (extra.length > 0) problems.push({ about, words: `${name} not in the original: ${listed(extra)}.` });
  };
  const both = (about: TranslationProblem['about'], find: (of: string) => string[], name: string) => {
    const [a, b] = [find(source), find(text)];
    tell(about, lacking(a, b), lacking(b, a), name);
  };
  both('fill-ins', (of) => all(FILL_IN, of), 'Fill-ins');
  both('numbers', (of) => numbersOf(of.replace(FILL_IN, '')), 'Numbers');
  both('links', (of) => all(LINK, of, 1), 'Links');
  both('formats', (of) => all(TAG, of, 1).map((name) => `<${name.toLowerCase()}>`), 'Formats');
  both('units', (of) => all(UNIT, plainText(of)), 'Units');
  for (const words of otherwise(source, text, locale, languages))
    problems.push({ about: 'glossary', words: `${words}.` });
  if (most !== undefined && text.length > most)
    problems.push({ about: 'length', words: `This is longer than the ${most} characters that fit.` });
  return problems;
}
