import { languagePart } from './language-part';
import { transliterate } from 'transliteration';
import { fold } from './fold';

const LONGEST = 120;

// eslint-disable-next-line no-control-regex
const PLAIN = /^[\x00-\x7f]*$/;

/** How languages write “&”, and letters that they spell with two where there are no accents. */
const spellings: Readonly<Record<string, { and: string; letters?: Readonly<Record<string, string>> }>> = {
  da: { and: 'og', letters: { æ: 'ae', ø: 'oe', å: 'aa' } },
  de: { and: 'und', letters: { ä: 'ae', ö: 'oe', ü: 'ue' } },
  en: { and: 'and' },
  es: { and: 'y' },
  fr: { and: 'et' },
  it: { and: 'e' },
  nl: { and: 'en' },
  pt: { and: 'e' },
  sv: { and: 'och' },
};

/** Words of any script in small Latin letters, digits and single hyphens; '' when nothing of them can be written so. */
export function latinOf(words: string, locale = 'en'): string {
  const { and, letters } = spellings[languagePart(locale)] ?? { and: '' };
  const spelled = letters
    ? words
        .normalize('NFC')
        .toLowerCase()
        .replace(/\P{ASCII}/gu, (letter) => letters[letter] ?? letter)
    : words;
  return fold(PLAIN.test(spelled) ? spelled : transliterate(spelled))
    .replace(/&/g, ` ${and} `)
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, LONGEST)
    .replace(/-+$/, '');
}

/** A slug made from free words of a language; `fallback` when nothing usable is left. At most 120 characters. */
export const slugFrom = (words: string, fallback = 'untitled', locale = 'en'): string =>
  latinOf(words, locale) || fallback;

/** `wanted`, or `wanted-2`, `wanted-3`, … : the first that `taken` does not hold. */
export function freeSlug(wanted: string, taken: (slug: string) => boolean): string {
  if (!taken(wanted)) return wanted;
  for (let n = 2; ; n++) {
    const suffix = `-${n}`;
    const slug = wanted.slice(0, LONGEST - suffix.length) + suffix;
    if (!taken(slug)) return slug;
  }
}
