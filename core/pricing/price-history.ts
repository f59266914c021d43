import { secondsOf } from '../shared/moment';
import { effectivePrice } from './price';
import type { AskedSpan, PriceSpan } from './lowest';

/** What a variant costs from a moment on; minor units. */
export interface PriceFrom {
  /** seconds since 1970 */
  at: number;
  /** what shoppers are asked */
  price: number;
  /** before sale and offers */
  list: number;
}

/**
 * What a variant cost between two moments, with a step where that changed: by an edition, a sale or an offer that began or
 * ended. Empty where it was not sold. `spans` and `asked` in rising order. O(n log n).
 */
export function priceHistory(
  spans: readonly PriceSpan[],
  asked: readonly AskedSpan[],
  from: number,
  until: number,
): PriceFrom[] {
  const edges = spans.flatMap(({ since, saleFrom, saleUntil }) => [
    since,
    ...[saleFrom, saleUntil].flatMap((moment) => (moment === null ? [] : [secondsOf(moment)])),
  ]);
  const moments = [from, ...edges, ...asked.map(({ since }) => since)]
    .filter((at) => at >= from && at <= until)
    .sort((a, b) => a - b);
  const history: PriceFrom[] = [];
  let [span, ask] = [-1, -1];
  for (const at of moments) {
    while (spans[span + 1] && spans[span + 1]!.since <= at) span++;
    while (asked[ask + 1] && asked[ask + 1]!.since <= at) ask++;
    const holds = spans[span];
    if (!holds) continue;
    const alone = effectivePrice({ ...holds, quantityPrices: [] }, holds, at).price;
    const price = Math.min(alone, asked[ask]?.price ?? alone);
    const last = history.at(-1);
    if (last?.at === at) history.pop();
    const before = history.at(-1);
    if (before?.price !== price || before.list !== holds.price) history.push({ at, price, list: holds.price });
  }
  return history;
}
