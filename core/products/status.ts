import { secondsOf } from '../shared/moment';
import type { Product } from '../model/product';
import type { Status } from '../model/product-values';

type Dated = Pick<Product, 'status' | 'liveFrom' | 'liveUntil'>;

/** Where a product is in its life at one moment: a live one may still wait for its day, or be past it. */
export type DatedStatus = 'draft' | 'off' | 'live' | 'waiting' | 'ended';

/** The phase at `now` (seconds since 1970): on the shop from `liveFrom` on, up to but not including `liveUntil`. */
export function statusAt({ status, liveFrom, liveUntil }: Dated, now: number): DatedStatus {
  if (status !== 'live') return status;
  if (liveUntil !== null && now >= secondsOf(liveUntil)) return 'ended';
  return liveFrom !== null && now < secondsOf(liveFrom) ? 'waiting' : 'live';
}

/** The first of these moments that is after `now`; undefined when none is. Seconds since 1970. */
export function nextMoment(moments: readonly (string | null)[], now: number): number | undefined {
  let next: number | undefined;
  for (const moment of moments) {
    if (moment === null) continue;
    const at = secondsOf(moment);
    if (at > now && (next === undefined || at < next)) next = at;
  }
  return next;
}

/** Standings of a product in words, as it was set by the seller. */
export const statusWords: Record<Status, string> = { live: 'on the shop', draft: 'draft', off: 'off the shop' };
