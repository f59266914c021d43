import fc from 'fast-check';
import type { OrderEvent, OrderLine } from '../model/shop-order';
import { backToCards } from './back-to-cards';
import { costOfPieces, orderState } from './order-state';

const line = (key: string, quantity: number, total: number, more: Partial<OrderLine> = {}): OrderLine => ({
  key,
  productId: `p_${key}`,
  variantId: `v_${key}`,
  kind: 'physical',
  sku: '',
  title: key,
  variant: '',
  parts: [],
  takes: [],
  isSent: true,
  quantity,
  list: total,
  unit: total,
  reductions: [],
  total,
  rate: 0,
  tax: 0,
  ...more,
});
const body = { lines: [line('kite', 3, 1_000), line('plan', 1, 500, { isSent: false })], total: 1_500 };
const sent = (key: string, quantity: number): OrderEvent => ({
  what: 'sent',
  lines: [{ key, quantity }],
  tracking: '',
});
const refunded = (amount: number, lines: { key: string; quantity: number }[] = []): OrderEvent => ({
  what: 'refunded',
  amount,
  toGiftCards: 0,
  lines,
  restocked: true,
  reason: '',
});
const paid: OrderEvent = { what: 'paid', amount: 1_500, how: '' };

test.each<[string, OrderEvent[], string]>([
  ['nothing happened yet', [], 'new'],
  ['it was declined', [{ what: 'declined', how: '' }], 'new'],
  ['it was paid', [paid], 'paid'],
  ['some of it was sent', [paid, sent('kite', 1)], 'partSent'],
  ['all that is sent was sent', [paid, sent('kite', 1), sent('kite', 2)], 'sent'],
  ['what was not sent was taken back', [paid, sent('kite', 2), refunded(333, [{ key: 'kite', quantity: 1 }])], 'sent'],
  ['all was paid back', [paid, refunded(1_000), refunded(500)], 'refunded'],
  ['it was called off', [{ what: 'cancelled', reason: '' }], 'cancelled'],
])('%s', (_, events, status) => {
  expect(orderState(body, events).status).toBe(status);
});

test('pieces that come back one by one cost what they cost together, to the cent', () => {
  const order = { lines: [line('kite', 3, 1_000, { tax: 211 })], taxIncluded: false };
  const each = [3, 2, 1].map((kept) => costOfPieces(order, new Map([['kite', kept]]), [{ key: 'kite', quantity: 1 }]));
  expect(each.reduce((sum, cost) => sum + cost, 0)).toBe(1_211);
});

test('in however many steps an order is paid back, each gift card gets back what it paid, and no more', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 5_000 }), { maxLength: 3 }),
      fc.nat(8_000),
      fc.array(fc.nat(3_000), { maxLength: 8 }),
      (cards, rest, steps) => {
        const giftCards = cards.map((amount, i) => ({ code: `C${i}`, amount }));
        const total = rest + cards.reduce((sum, amount) => sum + amount, 0);
        const given = new Map<string, number>();
        let before = 0;
        for (const step of [...steps, total]) {
          const amount = Math.min(step, total - before);
          const back = backToCards({ total, giftCards }, before, amount);
          expect(back.reduce((sum, each) => sum + each.amount, 0)).toBeLessThanOrEqual(amount);
          for (const { code, amount: part } of back) given.set(code, (given.get(code) ?? 0) + part);
          before += amount;
        }
        for (const { code, amount } of giftCards) expect(given.get(code)).toBe(amount);
      },
    ),
  );
});
