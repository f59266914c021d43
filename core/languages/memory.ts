import { fold } from '../shared/fold';
import { plainText } from '../shared/plain-text';

/** A text and how it was translated once. */
export interface TranslatedPair {
  source: string;
  text: string;
}

export interface MemoryMatch extends TranslatedPair {
  /** 1 for the same text, 0 for one that shares nothing */
  likeness: number;
}

/** Less than this much alike, a text is no help. */
const LEAST_LIKENESS = 0.6;
/** So many candidates, those that share most words first, are compared word by word. */
const MOST_COMPARED = 40;

const wordsOf = (text: string): string[] => fold(plainText(text)).match(/[\p{L}\p{N}]+/gu) ?? [];

/** How many words have to be put in, taken out or replaced to make one list of another. O(a · b). */
function wordSteps(a: readonly string[], b: readonly string[]): number {
  let row = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next[j] = Math.min(next[j - 1]! + 1, row[j]! + 1, row[j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1));
    row = next;
  }
  return row[b.length]!;
}

/** How alike two texts are by their words, in order: 1 for the same, 0 for nothing in common. */
export function likenessOf(a: readonly string[], b: readonly string[]): number {
  const longer = Math.max(a.length, b.length);
  return longer === 0 ? 0 : 1 - wordSteps(a, b) / longer;
}

/** All that was translated into one language, found again by what it was translated from. */
export class TranslationMemory {
  readonly #pairs: (TranslatedPair & { words: string[] })[] = [];
  readonly #exact = new Map<string, TranslatedPair>();
  readonly #byWord = new Map<string, number[]>();

  /** The first pair of a source counts. */
  constructor(pairs: Iterable<TranslatedPair>) {
    for (const pair of pairs) {
      if (this.#exact.has(pair.source)) continue;
      this.#exact.set(pair.source, pair);
      const words = wordsOf(pair.source);
      const at = this.#pairs.push({ ...pair, words }) - 1;
      for (const word of new Set(words)) {
        const places = this.#byWord.get(word);
        if (places) places.push(at);
        else this.#byWord.set(word, [at]);
      }
    }
  }

  /** The translation of exactly this text; undefined where there is none. */
  exact(source: string): string | undefined {
    return this.#exact.get(source)?.text;
  }

  /** The texts that are most like one, the likest first. O(texts that share a word). */
  like(source: string, most = 3): MemoryMatch[] {
    const words = wordsOf(source);
    const shared = new Map<number, number>();
    for (const word of new Set(words))
      for (const at of this.#byWord.get(word) ?? []) shared.set(at, (shared.get(at) ?? 0) + 1);
    const candidates = [...shared].sort((a, b) => b[1] - a[1] || a[0] - b[0]).slice(0, MOST_COMPARED);
    return candidates
      .map(([at]) => {
        const { source: from, text, words: own } = this.#pairs[at]!;
        return { source: from, text, likeness: from === source ? 1 : Math.min(0.99, likenessOf(own, words)) };
      })
      .filter(({ likeness }) => likeness >= LEAST_LIKENESS)
      .sort((a, b) => b.likeness - a.likeness)
      .slice(0, most);
  }
}
