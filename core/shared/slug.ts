import { transliterate } from 'transliteration';
import { fold } from './identity';

const LONGEST = 120;

// eslint-disable-next-line no-control-regex
const PLAIN = /^[\x00-\x7f]*$/;

/** Words of any script in small Latin letters, digits and single hyphens; '' when nothing of them can be written so. */
export function latinOf(words: string): string {
  return fold(PLAIN.test(words) ? words : transliterate(words))
    .replace(/&/g, ' and ')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, LONGEST)
    .replace(/-+$/, '');
}

/** A slug made from free words; `fallback` when nothing usable is left. At most 120 characters. */
export const slugFrom = (words: string, fallback = 'untitled'): string => latinOf(words) || fallback;

/** `wanted`, or `wanted-2`, `wanted-3`, … : the first that `taken` does not hold. */
export function freeSlug(wanted: string, taken: (slug: string) => boolean): string {
  if (!taken(wanted)) return wanted;
  for (let n = 2; ; n++) {
    const suffix = `-${n}`;
    const slug = wanted.slice(0, LONGEST - suffix.length) + suffix;
    if (!taken(slug)) return slug;
  }
}
