import { fold } from '../catalog/identity';

/** Longest word, and most words of a query, that the finder looks at. */
export const MAX_WORD = 40;
export const MAX_QUERY_WORDS = 8;
/** Shortest word that may be met with one typing slip. */
export const MIN_SLIP_LENGTH = 4;

/** What a letter is to the search for words: not part of one, part of one, or beyond ASCII and to be looked up. */
const OTHER = 0;
const PLAIN = 1;
const BEYOND = 2;
const plainKinds = Uint8Array.from({ length: 128 }, (_, code) =>
  /[a-z0-9]/.test(String.fromCharCode(code)) ? PLAIN : OTHER,
);
const kindAt = (text: string, place: number): number => {
  const code = text.charCodeAt(place);
  return code < 128 ? plainKinds[code]! : BEYOND;
};

/** One more letter of a word's hash; a word's hash begins at 0. */
export const hashWith = (hash: number, letter: number): number => (Math.imul(hash, 31) + letter) | 0;

export type WordVisitor = (folded: string, start: number, end: number, hash: number) => void;

/**
 * Calls `visit` with each word of a text, as a place in its folded form and a hash of its letters: letters and digits
 * only, in order, with repeats. Nothing is cut out of the text: filling an index looks at millions of words.
 */
export function visitWords(text: string, visit: WordVisitor): void {
  const folded = fold(text);
  const { length } = folded;
  for (let i = 0; i < length; i++) {
    let kind = kindAt(folded, i);
    if (kind === OTHER) continue;
    const start = i;
    const end = start + MAX_WORD;
    let hash = 0;
    while (kind === PLAIN) {
      if (i < end) hash = hashWith(hash, folded.charCodeAt(i));
      kind = ++i < length ? kindAt(folded, i) : OTHER;
    }
    if (kind === BEYOND) return visitAnyWords(folded, start, visit);
    visit(folded, start, Math.min(i, end), hash);
  }
}

/** The same from `from` on, for texts with letters beyond the plain ones. */
function visitAnyWords(folded: string, from: number, visit: WordVisitor): void {
  const word = /[\p{L}\p{N}]+/gu;
  word.lastIndex = from;
  for (let match = word.exec(folded); match; match = word.exec(folded)) {
    const start = match.index;
    const end = start + Math.min(match[0].length, MAX_WORD);
    let hash = 0;
    for (let i = start; i < end; i++) hash = hashWith(hash, folded.charCodeAt(i));
    visit(folded, start, end, hash);
  }
}

/** The words of a text: folded, letters and digits only, in order, with repeats. */
export function wordsOf(text: string): string[] {
  const words: string[] = [];
  visitWords(text, (folded, start, end) => words.push(folded.slice(start, end)));
  return words;
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
