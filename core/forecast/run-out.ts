import { incompleteBeta } from './incomplete-beta';

/** When something will be sold out, in days from now: as likely sooner as later, and between which days eight times in ten. */
export interface RunOut {
  early: number;
  likely: number;
  late: number;
}

/** Days of sales that are looked at, and after how many of them a day counts half. */
export const LOOKED_AT = 112;
const HALF_LIFE = 56;

/** Later than this is not told: nobody orders for years. */
export const HORIZON = 730;

/** More are never ordered at once. */
const MOST_BATCHES = 2 ** 20;

/** A sale that nobody saw yet, for goods that are new: without it, what sold nothing would never sell. */
const PRIOR = 0.5;

/**
 * When `stock` pieces will be sold, from what was sold on each of the last days (the last one first; shorter where it has been
 * sold for less long). Sales are taken to come at a steady rate that is not known exactly, and in batches as large as their
 * unevenness says. Undefined where nothing was sold. O(days).
 */
export function runOut(stock: number, sold: readonly number[]): RunOut | undefined {
  const days = sold.slice(0, LOOKED_AT);
  const total = days.reduce((sum, pieces) => sum + pieces, 0);
  if (total <= 0 || days.length === 0) return undefined;
  if (stock <= 0) return { early: 0, likely: 0, late: 0 };
  const { batch, known, shape } = rateOf(days);
  const wanted = Math.max(1, Math.ceil(stock / batch));
  /** Chance that it is sold out after so many days. */
  const chance = (after: number) => incompleteBeta(after / (known + after), wanted, shape);
  const dayOf = (wantedChance: number): number => {
    if (chance(HORIZON) < wantedChance) return HORIZON;
    let [low, high] = [0, HORIZON];
    while (high - low > 0.05) {
      const middle = (low + high) / 2;
      if (chance(middle) < wantedChance) low = middle;
      else high = middle;
    }
    return high;
  };
  return { early: dayOf(0.1), likely: dayOf(0.5), late: dayOf(0.9) };
}

/**
 * How many pieces are enough for so many days to come, so often (`sure`: between 0 and 1), from what was sold on each of the
 * last days, as for `runOut`. 0 where nothing was sold. O(days + result).
 */
export function enoughFor(daysAhead: number, sold: readonly number[], sure: number): number {
  const days = sold.slice(0, LOOKED_AT);
  if (daysAhead <= 0 || !days.some((pieces) => pieces > 0)) return 0;
  const { batch, known, shape } = rateOf(days);
  // Chance that more than so many batches are wanted.
  const isTooFew = (batches: number) => incompleteBeta(daysAhead / (known + daysAhead), batches + 1, shape) > 1 - sure;
  let high = 1;
  while (isTooFew(high) && high < MOST_BATCHES) high *= 2;
  let low = 0;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (isTooFew(middle)) low = middle + 1;
    else high = middle;
  }
  return Math.ceil(low * batch);
}

/** What sales of the last days tell of those to come: batches come at a rate whose distribution has this shape. */
function rateOf(days: readonly number[]): { batch: number; known: number; shape: number } {
  const batch = batchOf(days);
  let weights = 0;
  let pieces = 0;
  let squares = 0;
  days.forEach((count, ago) => {
    const weight = 2 ** (-ago / HALF_LIFE);
    weights += weight;
    squares += weight * weight;
    pieces += weight * count;
  });
  // Weighted days tell as much as so many days that all count the same.
  const known = (weights * weights) / squares;
  return { batch, known, shape: ((pieces / weights) * known) / batch + PRIOR };
}

/** How many pieces are sold at once, as a rule: how much more uneven sales are than single ones would be. At least 1. */
function batchOf(days: readonly number[]): number {
  if (days.length < 2) return 1;
  const mean = days.reduce((sum, count) => sum + count, 0) / days.length;
  const variance = days.reduce((sum, count) => sum + (count - mean) ** 2, 0) / (days.length - 1);
  return Math.max(1, variance / mean);
}
