import { z } from 'zod';

/** An opaque, stable id: a short prefix that says the kind of thing, then random characters. */
export const idSchema = z.string().regex(/^[a-z]{1,4}_[a-z0-9]{6,32}$/, 'This is not an id.');

const ADDRESS = /^[a-z0-9]+(?:-[a-z0-9]+)*$/;

/** The part of an address that names one thing. Lower-case letters, digits and single hyphens. */
export const slugSchema = z
  .string()
  .min(1, 'An address needs at least one letter.')
  .max(120, 'An address can have at most 120 characters.')
  .regex(ADDRESS, 'An address can hold small letters, digits and single hyphens, no slashes or spaces.');

const FOLDED: Record<string, string> = { ß: 'ss', æ: 'ae', ø: 'o', œ: 'oe', ł: 'l', đ: 'd', þ: 'th' };

// eslint-disable-next-line no-control-regex
const PLAIN = /^[\x00-\x7f]*$/;

/** Lower-cases `text` and strips marks from letters, so that "Größe" and "grosse" compare equal. */
export function fold(text: string): string {
  // Most words of a catalog are plain letters, for which the rest would do nothing.
  if (PLAIN.test(text)) return text.toLowerCase();
  return text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/\p{M}+/gu, '')
    .replace(/[ßæøœłđþ]/g, (letter) => FOLDED[letter]!);
}
