import { fold } from '../shared/fold';

/** Longest word, and most words of a query, that the finder looks at. */
export const MAX_WORD = 40;
const MAX_QUERY_WORDS = 8;
/** Shortest word that may be met with one typing slip. */
export const MIN_SLIP_LENGTH = 4;

/** By ASCII code: the small letter or digit that it is in a word, 0 for what is not part of one. */
const plainLetters = Uint8Array.from({ length: 128 }, (_, code) => {
  const letter = String.fromCharCode(code).toLowerCase();
  return /[a-z0-9]/.test(letter) ? letter.charCodeAt(0) : 0;
});
/** Stands for letters beyond ASCII, which are to be looked up. */
const BEYOND = 0xff;

const plainAt = (text: string, place: number): number => {
  const code = text.charCodeAt(place);
  return code < 128 ? plainLetters[code]! : BEYOND;
};

/** The letter of a word at this place, small. */
export function letterAt(text: string, place: number): number {
  const code = text.charCodeAt(place);
  return code < 128 ? plainLetters[code]! : code;
}

/** One more letter of a word's hash; a word's hash begins at 0. */
export const hashWith = (hash: number, letter: number): number => (Math.imul(hash, 31) + letter) | 0;

/** A word as a place in a text, where ASCII letters may still be capitals, and the hash of its letters as small ones. */
export type WordVisitor = (text: string, start: number, end: number, hash: number) => void;

/**
 * Calls `visit` with each word of a text: letters and digits only, in order, with repeats. Nothing is cut out of the text,
 * and it is folded only when it has letters beyond ASCII: filling an index looks at millions of words.
 */
export function visitWords(text: string, visit: WordVisitor): void {
  const stopped = visitPlainWords(text, 0, visit);
  if (stopped === undefined) return;
  const folded = fold(text);
  const again = visitPlainWords(folded, stopped, visit);
  if (again !== undefined) visitAnyWords(folded, again, visit);
}

/** Visits words up to the first that has a letter beyond ASCII; answers where that one starts. */
function visitPlainWords(text: string, from: number, visit: WordVisitor): number | undefined {
  const { length } = text;
  for (let i = from; i < length; i++) {
    let letter = plainAt(text, i);
    if (letter === 0) continue;
    const start = i;
    const end = start + MAX_WORD;
    let hash = 0;
    while (letter !== 0 && letter !== BEYOND) {
      if (i < end) hash = hashWith(hash, letter);
      letter = ++i < length ? plainAt(text, i) : 0;
    }
    if (letter === BEYOND) return start;
    visit(text, start, Math.min(i, end), hash);
  }
  return undefined;
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
  visitWords(text, (within, start, end) => words.push(within.slice(start, end).toLowerCase()));
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
