import { fold } from '../catalog/identity';

/** Longest word, and most words of a query, that the finder looks at. */
export const MAX_WORD = 40;
export const MAX_QUERY_WORDS = 8;
/** Shortest word that may be met with one typing slip. */
export const MIN_SLIP_LENGTH = 4;

/** The words of a text: folded, letters and digits only, in order, with repeats. */
export function wordsOf(text: string): string[] {
  return (fold(text).match(/[\p{L}\p{N}]+/gu) ?? []).map((word) => word.slice(0, MAX_WORD));
}

/** The words of a query, capped; a repeated word counts once. */
export function queryWords(query: string): string[] {
  return [...new Set(wordsOf(query.slice(0, 400)))].slice(0, MAX_QUERY_WORDS);
}

/**
 * True when one insertion, deletion, replacement or swap of neighbours turns `typed` into some beginning of `word`.
 * A slip can always be told at the first letter that differs, so this looks at one place only.
 */
export function oneSlip(typed: string, word: string): boolean {
  let i = 0;
  while (i < typed.length && i < word.length && typed.charCodeAt(i) === word.charCodeAt(i)) i++;
  const afterNext = typed.slice(i + 1);
  return (
    (i < word.length && word.startsWith(afterNext, i + 1)) ||
    word.startsWith(afterNext, i) ||
    word.startsWith(typed.slice(i), i + 1) ||
    (i + 1 < typed.length &&
      typed[i] === word[i + 1] &&
      typed[i + 1] === word[i] &&
      word.startsWith(typed.slice(i + 2), i + 2))
  );
}
