import { enoughFor, runOut, type RunOut } from '../forecast/run-out';

/** How often what is ordered is enough until the next order comes. */
const SURE = 0.9;

export interface ReorderSource {
  /** pieces that are left */
  stock: number;
  /** at this many it is time to order again; null where nobody said */
  warnAt: number | null;
  /** what was sold on each of the last days, today first */
  sold: readonly number[];
}

export interface ReorderTerms {
  /** from the order to the arrival */
  deliveryDays: number;
  /** what is ordered is to last for so long after it arrived */
  coverDays: number;
}

export interface Reorder {
  /** it is gone, or may well be before more arrives if it is ordered now, or is down to its warn-at level */
  isDue: boolean;
  /** pieces to order, so that they are enough in most cases */
  pieces: number;
  /** undefined where nothing was sold */
  runsOut: RunOut | undefined;
}

/** What to order of something, and whether it is time to. O(days of sales). */
export function reorder({ stock, warnAt, sold }: ReorderSource, { deliveryDays, coverDays }: ReorderTerms): Reorder {
  const left = Math.max(0, stock);
  const runsOut = runOut(left, sold);
  const isLow = warnAt !== null && left <= warnAt;
  const isDue = left === 0 || isLow || (runsOut !== undefined && runsOut.early <= deliveryDays);
  const wanted = Math.max(enoughFor(deliveryDays + coverDays, sold, SURE), isLow ? warnAt + 1 : 0);
  return { isDue, pieces: Math.max(0, wanted - left), runsOut };
}
