import { fold } from '../shared/fold';
import { MIN_SLIP_LENGTH, oneSlip, queryWords } from './words';

export interface MarkedPart {
  part: string;
  isMet: boolean;
}

/**
 * A text in parts, of which those are marked that meet a word of the query: as a beginning, or with one slip. As in the
 * finder, a slip counts only for a word that nothing begins with. `alsoWords`: folded words that mean the same, met only
 * whole. The parts together are the text. O(words × text).
 */
export function markedParts(text: string, query: string, alsoWords: readonly string[] = []): MarkedPart[] {
  const words = [...text.matchAll(/[\p{L}\p{N}]+/gu)].map((match) => ({
    folded: fold(match[0]),
    start: match.index,
    end: match.index + match[0].length,
  }));
  const met = new Set<number>();
  for (const wanted of queryWords(query)) {
    const begins = words.filter(({ folded }) => folded.startsWith(wanted));
    const slips = wanted.length >= MIN_SLIP_LENGTH ? words.filter(({ folded }) => oneSlip(wanted, folded)) : [];
    for (const { start } of begins.length > 0 ? begins : slips) met.add(start);
  }
  for (const { folded, start } of words) if (alsoWords.includes(folded)) met.add(start);
  const parts: MarkedPart[] = [];
  let at = 0;
  for (const { start, end } of words) {
    if (!met.has(start)) continue;
    if (start > at) parts.push({ part: text.slice(at, start), isMet: false });
    parts.push({ part: text.slice(start, end), isMet: true });
    at = end;
  }
  if (at < text.length) parts.push({ part: text.slice(at), isMet: false });
  return parts;
}
