import type { Run } from './offer-action';

/** Runs from the dearest on, each with the place of its first piece among all pieces, and its own place. */
export function dearestFirst(runs: readonly Run[]): { at: number; first: number; run: Run }[] {
  let first = 0;
  return runs
    .map((run, at) => ({ run, at }))
    .sort((a, b) => b.run.price - a.run.price || a.at - b.at)
    .map(({ run, at }) => {
      const placed = { at, first, run };
      first += run.quantity;
      return placed;
    });
}

/** How many of the places from `first` up to, not including, `end` are at or behind `from` in their group of `size`. */
export function placesBehind(first: number, end: number, size: number, from: number): number {
  const before = (place: number) => Math.floor(place / size) * (size - from) + Math.max(0, (place % size) - from);
  return before(end) - before(first);
}

/** Number of pieces that make whole groups. */
export function grouped(runs: readonly Run[], size: number): number {
  const pieces = runs.reduce((sum, { quantity }) => sum + quantity, 0);
  return pieces - (pieces % size);
}
