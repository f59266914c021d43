import type { OrderBody } from '../model/shop-order';

type Paid = Pick<OrderBody, 'total' | 'giftCards'>;

/** What of each gift card is paid back once so much of an order is, in all. */
function backAfter({ total, giftCards }: Paid, refunded: number): number[] {
  const onCards = giftCards.reduce((sum, { amount }) => sum + amount, 0);
  // Money goes back the way it came: what was paid otherwise first, then the card that was typed last.
  let left = Math.max(0, Math.min(refunded, total) - (total - onCards));
  return giftCards
    .map(({ amount }) => amount)
    .reverse()
    .map((amount) => {
      const part = Math.min(left, amount);
      left -= part;
      return part;
    })
    .reverse();
}

/** What goes back onto each gift card that paid, when `amount` is paid back and `before` was already; minor units. */
export function backToCards(paid: Paid, before: number, amount: number): { code: string; amount: number }[] {
  const [was, is] = [backAfter(paid, before), backAfter(paid, before + amount)];
  return paid.giftCards.flatMap(({ code }, i) => (is[i]! > was[i]! ? [{ code, amount: is[i]! - was[i]! }] : []));
}
