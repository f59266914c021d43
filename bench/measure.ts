import { performance } from 'node:perf_hooks';

export interface Spread {
  p50: number;
  p95: number;
  max: number;
}

export function spreadOf(times: readonly number[]): Spread {
  const sorted = [...times].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
  return { p50: at(0.5), p95: at(0.95), max: sorted.at(-1)! };
}

/** Milliseconds of each call. */
export function timeEach<T>(items: readonly T[], run: (item: T) => void): number[] {
  return items.map((item) => {
    const start = performance.now();
    run(item);
    return performance.now() - start;
  });
}

/** Milliseconds of each call in the middle one of several rounds over all of them: a moment that others took counts less. */
export function timeRounds<T>(rounds: number, items: readonly T[], run: (item: T) => void): number[] {
  const all = Array.from({ length: rounds }, () => timeEach(items, run));
  return items.map((_, i) => spreadOf(all.map((times) => times[i]!)).p50);
}

/** Nanoseconds of one read somewhere in 8 MB, each telling where the next one is: how quick the memory of a machine is just now. */
export function randomReadNs(): number {
  const size = 1 << 21;
  const next = new Uint32Array(size);
  // These numbers lead through every place once, and never to a neighbour.
  for (let i = 0; i < size; i++) next[i] = (Math.imul(i, 1_664_525) + 1_013_904_223) & (size - 1);
  let at = 0;
  const reads = () => {
    for (let i = 0; i < size; i++) at = next[at]!;
  };
  return (median(5, reads) * 1e6) / size;
}

export function timeOnce<T>(run: () => T): { ms: number; value: T } {
  const start = performance.now();
  const value = run();
  return { ms: performance.now() - start, value };
}

/** Median milliseconds of several calls. */
export function median(times: number, run: (i: number) => void): number {
  return spreadOf(
    timeEach(
      Array.from({ length: times }, (_, i) => i),
      run,
    ),
  ).p50;
}

export const ms = (x: number) =>
  x >= 100 ? x.toFixed(0) : x >= 10 ? x.toFixed(1) : x >= 0.1 ? x.toFixed(2) : x.toFixed(3);
export const spread = ({ p50, p95, max }: Spread) => `${ms(p50)} / ${ms(p95)} / ${ms(max)}`;
