import type { Bitset } from './bitset';
import type { Language } from './text-query';
import { wordsOf } from './words';

/** How much it counts when a title has all words of a query, has them side by side, begins with them, or is nothing else. */
const FIT = { all: 40, together: 40, begins: 30, whole: 120 } as const;

/** Of more hits only those with the highest scores are looked at: looking at a title takes longer than finding it. */
const MOST = 160;

/** The stems of the words of a title, without fillers. */
export const titleStems = (title: string, { stem, isFiller }: Language): string[] =>
  wordsOf(title)
    .filter((word) => !isFiller(word))
    .map(stem);

/** How well a title fits a query, both by the stems of their words in order. */
export function fitOf(title: readonly string[], query: readonly string[]): number {
  if (query.length === 0 || !query.every((stem) => title.includes(stem))) return 0;
  const at = title.findIndex((_, i) => query.every((stem, j) => title[i + j] === stem));
  const isWhole = title.length === query.length;
  return FIT.all + (at >= 0 ? FIT.together : 0) + (at === 0 ? FIT.begins : 0) + (isWhole && at === 0 ? FIT.whole : 0);
}

/** Adds to the scores of those hits that may stand in front how well their titles fit. O(hits + titles looked at). */
export function addTitleFit(
  { hits, scores }: { hits: Bitset; scores: Uint32Array },
  stems: readonly string[],
  titleOf: (slot: number) => string,
  language: Language,
): void {
  if (stems.length === 0) return;
  let highest = 0;
  hits.forEach((slot) => {
    if (scores[slot]! > highest) highest = scores[slot]!;
  });
  const counts = new Uint32Array(highest + 1);
  hits.forEach((slot) => void counts[scores[slot]!]!++);
  let least = highest;
  let found = counts[highest]!;
  while (found < MOST && least > 0) found += counts[--least]!;
  // Very many with the same score are all looked at or none is, so that it does not matter which of them came first.
  if (found > 4 * MOST) least++;
  hits.forEach((slot) => {
    if (scores[slot]! < least) return;
    scores[slot]! += fitOf(titleStems(titleOf(slot), language), stems);
  });
}
