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
