import { queryWords, wordsOf } from './words';

/** Words that stand together in a query, with the other ways to say the same. */
interface SaidOtherwise {
  words: readonly string[];
  others: readonly (readonly string[])[];
}

/** Most words of one way to say something. */
const MAX_PHRASE = 4;

/** Ways to say the same, as a seller keeps them: each group holds words or short phrases that mean one thing. */
export class Synonyms {
  /** folded phrase → the other phrases of its groups */
  readonly #others = new Map<string, string[][]>();

  constructor(groups: readonly (readonly string[])[] = []) {
    for (const group of groups) {
      const phrases = group.map((phrase) => wordsOf(phrase).slice(0, MAX_PHRASE)).filter((words) => words.length > 0);
      for (const words of phrases) {
        const key = words.join(' ');
        const others = phrases.filter((other) => other.join(' ') !== key);
        this.#others.set(key, [...(this.#others.get(key) ?? []), ...others]);
      }
    }
  }

  /** The parts of a query: phrases that can be said otherwise, the longest first, and single words. */
  partsOf(query: string): SaidOtherwise[] {
    const words = queryWords(query);
    if (this.#others.size === 0) return words.map((word) => ({ words: [word], others: [] }));
    const parts: SaidOtherwise[] = [];
    for (let at = 0; at < words.length;) {
      let length = Math.min(MAX_PHRASE, words.length - at);
      while (length > 1 && !this.#others.has(words.slice(at, at + length).join(' '))) length--;
      const own = words.slice(at, at + length);
      parts.push({ words: own, others: this.#others.get(own.join(' ')) ?? [] });
      at += length;
    }
    return parts;
  }
}
