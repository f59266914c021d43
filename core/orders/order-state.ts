import type { OrderBody, OrderEvent, OrderLine, OrderStatus } from '../model/shop-order';

/** What an order is now: it follows from what was ordered and what happened since. */
export interface OrderState {
  status: OrderStatus;
  isPaid: boolean;
  /** paid back so far, minor units, gift cards included */
  refunded: number;
  /** some of it was paid back, and not all */
  isPartRefunded: boolean;
  /** pieces of each line that are still to be sent */
  unsent: ReadonlyMap<string, number>;
  /** pieces of each line that can still be taken back */
  kept: ReadonlyMap<string, number>;
}

function countsOf(lines: readonly OrderLine[], events: readonly OrderEvent[], what: 'sent' | 'refunded') {
  const counts = new Map(lines.map(({ key, quantity }) => [key, quantity]));
  for (const event of events)
    if (event.what === what)
      for (const { key, quantity } of event.lines) counts.set(key, (counts.get(key) ?? 0) - quantity);
  return counts;
}

/** The state of an order after these events, in their order. */
export function orderState(body: Pick<OrderBody, 'lines' | 'total'>, events: readonly OrderEvent[]): OrderState {
  const sentLines = body.lines.filter(({ isSent }) => isSent);
  const unsent = countsOf(sentLines, events, 'sent');
  const kept = countsOf(body.lines, events, 'refunded');
  // Of pieces that are taken back, those that were not sent yet come first: they need not be sent any more.
  for (const { key, quantity } of sentLines)
    unsent.set(key, Math.max(0, unsent.get(key)! - (quantity - kept.get(key)!)));
  const refunded = events.reduce((sum, event) => (event.what === 'refunded' ? sum + event.amount : sum), 0);
  const isPaid = events.some(({ what }) => what === 'paid');
  const isCancelled = events.some(({ what }) => what === 'cancelled');
  const hasSent = events.some(({ what }) => what === 'sent');
  const open = [...unsent.values()].some((left) => left > 0);
  const isRefunded = refunded > 0 && refunded >= body.total;
  const status: OrderStatus = isCancelled
    ? 'cancelled'
    : isRefunded
      ? 'refunded'
      : hasSent
        ? open
          ? 'partSent'
          : 'sent'
        : isPaid
          ? 'paid'
          : 'new';
  return { status, isPaid, refunded, isPartRefunded: refunded > 0 && !isRefunded, unsent, kept };
}

/** What some pieces of a line cost: their part of its total, so that all of them together cost all of it. */
function costOf(line: Pick<OrderLine, 'total' | 'quantity'>, quantity: number, before = 0): number {
  const upTo = (pieces: number) => Math.round((line.total * pieces) / line.quantity);
  return upTo(before + quantity) - upTo(before);
}

/** What pieces of an order cost, tax included: what is paid back for them. `kept` is what can still be taken back. */
export function costOfPieces(
  { lines, taxIncluded }: Pick<OrderBody, 'lines' | 'taxIncluded'>,
  kept: ReadonlyMap<string, number>,
  counts: readonly { key: string; quantity: number }[],
): number {
  return counts.reduce((sum, { key, quantity }) => {
    const line = lines.find((each) => each.key === key);
    if (!line) return sum;
    const before = line.quantity - (kept.get(key) ?? 0);
    const tax = taxIncluded ? 0 : costOf({ total: line.tax, quantity: line.quantity }, quantity, before);
    return sum + costOf(line, quantity, before) + tax;
  }, 0);
}

/** The products of which an order moves stock or sales. */
export const productsOf = ({ lines }: Pick<OrderBody, 'lines'>): string[] => [
  ...new Set(lines.flatMap(({ productId, takes }) => [productId, ...takes.map((each) => each.productId)])),
];

export const statusWords: Readonly<Record<OrderStatus, string>> = {
  new: 'not paid',
  paid: 'paid',
  partSent: 'part sent',
  sent: 'sent',
  refunded: 'refunded',
  cancelled: 'cancelled',
};
