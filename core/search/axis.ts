/** Most spans of one histogram. */
const MOST_SPANS = 24;
/** What lies above this share of the numbers counts at the end of the axis, so that a single large one does not flatten it. */
const SHARE_SHOWN = 0.98;

const DAY = 86_400;
const daySteps = [1, 7, 14, 30, 60, 91, 182, 365, 730, 1_825].map((days) => days * DAY);

/** The smallest of 1, 2 or 5 times a power of ten that is at least `x`, and at least 1. */
function roundStep(x: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(1, x)));
  return [1, 2, 5, 10].map((each) => each * power).find((step) => step >= x)!;
}

/**
 * Bounds for a histogram of numbers that stand in rising order at `at(0…count−1)`; without end ones are left out. Bounds
 * are round numbers of at least one `part` (dates: whole days, in seconds); at least two of them, none without numbers. O(log n).
 */
export function boundsOf(count: number, at: (place: number) => number, part: number, isDate = false): number[] {
  let finite = count;
  if (finite > 0 && !Number.isFinite(at(finite - 1))) {
    let low = 0;
    while (low < finite) {
      const middle = (low + finite) >>> 1;
      if (Number.isFinite(at(middle))) low = middle + 1;
      else finite = middle;
    }
  }
  if (finite === 0) return [];
  const lowest = at(0);
  const highest = Math.max(lowest, at(Math.min(finite - 1, Math.floor(finite * SHARE_SHOWN))));
  const wanted = (highest - lowest) / MOST_SPANS;
  const step = isDate
    ? (daySteps.find((each) => each >= wanted) ?? Math.ceil(wanted / DAY) * DAY)
    : part * roundStep(wanted / part);
  const bounds = [Math.floor(lowest / step) * step];
  while (bounds.at(-1)! <= highest) bounds.push(bounds.at(-1)! + step);
  return bounds;
}
