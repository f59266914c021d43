import type { SynonymLine } from '../model/synonyms';
import { queryWords, wordsOf } from './words';

/** Each phrase of some lines with the others that a search for it finds too. */
export function otherWays(lines: readonly SynonymLine[]): [phrase: string, others: string[]][] {
  return lines.flatMap((line) =>
    'from' in line
      ? line.from.map((phrase): [string, string[]] => [phrase, [...line.to]])
      : line.map((phrase): [string, string[]] => [phrase, line.filter((other) => other !== phrase)]),
  );
}

/** A line as a seller types it: “spar, rod” both ways, “power kite > foil” one way. */
export const synonymWords = (line: SynonymLine): string =>
  'from' in line ? `${line.from.join(', ')} > ${line.to.join(', ')}` : line.join(', ');

/** Reads a line as it was typed; what is wrong with it is told in words. Undefined for an empty one. */
export function readSynonymLine(typed: string): SynonymLine | { problem: string } | undefined {
  const [left = '', right, ...more] = typed.split(/->|→|>/);
  const phrases = (part: string) =>
    part
      .split(',')
      .map((phrase) => phrase.trim())
      .filter(Boolean);
  if (more.length > 0)
    return { problem: `“${typed.trim()}” has more than one “>”: put each pair in a line of its own.` };
  if (right !== undefined) {
    const [from, to] = [phrases(left), phrases(right)];
    if (from.length === 0 || to.length === 0)
      return { problem: `“${typed.trim()}” needs words on both sides of the “>”.` };
    return { from, to };
  }
  const all = phrases(left);
  if (all.length === 0) return undefined;
  return all.length > 1
    ? all
    : { problem: `“${all[0]}” stands alone in its line: add a word that means the same, after a comma.` };
}

/** Words that stand together in a query, with the other ways to say the same. */
interface SaidOtherwise {
  words: readonly string[];
  others: readonly (readonly string[])[];
}

/** Most words of one way to say something. */
const MAX_PHRASE = 4;

/** Ways to say the same, as a seller keeps them. */
export class Synonyms {
  /** folded phrase → other phrases */
  readonly #others = new Map<string, string[][]>();

  constructor(lines: readonly SynonymLine[] = []) {
    const read = (phrase: string) => wordsOf(phrase).slice(0, MAX_PHRASE);
    for (const [phrase, others] of otherWays(lines)) {
      const key = read(phrase).join(' ');
      const ways = others.map(read).filter((words) => words.length > 0 && words.join(' ') !== key);
      if (key !== '') this.#others.set(key, [...(this.#others.get(key) ?? []), ...ways]);
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
