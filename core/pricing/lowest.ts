import { secondsOf } from '../shared/moment';
import { effectivePrice } from './price';

/** What a variant cost from a moment on, as an edition told it. */
export interface PriceSpan {
  /** seconds since 1970 */
  since: number;
  price: number;
  salePrice: number | null;
  saleFrom: string | null;
  saleUntil: string | null;
}

/** What an offer made of the price of a variant from a moment on. */
export interface AskedSpan {
  /** seconds since 1970 */
  since: number;
  /** null where no offer held */
  price: number | null;
}

const DAY = 86_400;
/** Days back from the beginning of a reduction in which the lowest price is looked for. */
const LOOK_BACK_DAYS = 30;

/** When the offer that holds at `now` began, or one right before it: prices that offers made, without a break. */
function offeredSince(asked: readonly AskedSpan[], now: number): number | undefined {
  let since: number | undefined;
  for (const span of asked) {
    if (span.since > now) break;
    since = span.price === null ? undefined : (since ?? span.since);
  }
  return since;
}

/** When the reduction that holds at `now` began: its own beginning, or the edition that brought it, if later. */
function reducedSince(spans: readonly PriceSpan[], now: number): number | undefined {
  const at = spans.findLastIndex(({ since }) => since <= now);
  const span = spans[at];
  if (!span || effectivePrice({ ...span, quantityPrices: [] }, span, now).wasPrice === null) return undefined;
  return Math.max(span.since, span.saleFrom === null ? 0 : secondsOf(span.saleFrom));
}

/**
 * The lowest price of the 30 days before the reduction that holds at `now` began, in minor units; undefined when the
 * variant is not reduced now, or was not sold before. `spans`, and what offers made of them in `asked`, in rising order, the
 * one that holds last. O(spans).
 */
export function lowestBefore(
  spans: readonly PriceSpan[],
  now: number,
  asked: readonly AskedSpan[] = [],
): number | undefined {
  const begun = [reducedSince(spans, now), offeredSince(asked, now)].filter((since) => since !== undefined);
  if (begun.length === 0) return undefined;
  const end = Math.min(...begun);
  return lowestUntil(spans, end, asked);
}

/** The lowest price of the 30 days before `end` (seconds since 1970), in minor units; undefined when it was not sold then. */
export function lowestUntil(
  spans: readonly PriceSpan[],
  end: number,
  asked: readonly AskedSpan[] = [],
): number | undefined {
  const begin = end - LOOK_BACK_DAYS * DAY;
  let lowest: number | undefined;
  spans.forEach((span, i) => {
    const from = Math.max(span.since, begin);
    const until = Math.min(spans[i + 1]?.since ?? Infinity, end);
    if (from >= until) return;
    const edges = [span.saleFrom, span.saleUntil].flatMap((moment) => (moment === null ? [] : [secondsOf(moment)]));
    for (const moment of [from, ...edges.filter((edge) => edge > from && edge < until)]) {
      const { price } = effectivePrice({ ...span, quantityPrices: [] }, span, moment);
      if (lowest === undefined || price < lowest) lowest = price;
    }
  });
  asked.forEach(({ since, price }, i) => {
    const until = asked[i + 1]?.since ?? Infinity;
    const isAsked = price !== null && Math.max(since, begin) < Math.min(until, end);
    if (isAsked && (lowest === undefined || price < lowest)) lowest = price;
  });
  return lowest;
}
