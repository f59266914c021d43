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
  // What was taken back before it was sent need not be sent any more.
  for (const [key, left] of unsent) unsent.set(key, Math.max(0, Math.min(left, kept.get(key)!)));
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
export function costOf(line: Pick<OrderLine, 'total' | 'quantity'>, quantity: number, before = 0): number {
  const upTo = (pieces: number) => Math.round((line.total * pieces) / line.quantity);
  return upTo(before + quantity) - upTo(before);
}

export const statusWords: Readonly<Record<OrderStatus, string>> = {
  new: 'not paid',
  paid: 'paid',
  partSent: 'part sent',
  sent: 'sent',
  refunded: 'refunded',
  cancelled: 'cancelled',
};
