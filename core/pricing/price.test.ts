import fc from 'fast-check';
import { lowestBefore, type PriceSpan } from './lowest';
import {
  effectivePrice,
  isSaleTime,
  marginOf,
  markUpOf,
  netOf,
  priceSteps,
  refuseQuantityPrices,
  refuseSalePrice,
  refuseSpan,
  unitPrice,
  type PriceTerms,
} from './price';

const NOW = 1_800_000_000;
const iso = (seconds: number) => new Date(seconds * 1000).toISOString();
const plain: PriceTerms = { saleFrom: null, saleUntil: null, quantityPrices: [] };

const moment = fc.option(fc.integer({ min: NOW - 1000, max: NOW + 1000 }).map(iso), { nil: null });
const tiers = fc
  .uniqueArray(fc.tuple(fc.integer({ min: 2, max: 50 }), fc.integer({ min: 1, max: 9_500 })), {
    maxLength: 5,
    selector: ([from]) => from,
  })
  .map((pairs) => {
    const offs = [...new Set(pairs.map(([, off]) => off))].sort((a, b) => a - b);
    const froms = pairs.map(([from]) => from).sort((a, b) => a - b);
    return offs.map((off, i) => ({ from: froms[i]!, off }));
  });
const terms = fc.record({ saleFrom: moment, saleUntil: moment, quantityPrices: tiers });
const amount = fc.integer({ min: 0, max: 1_000_000_000 });
const variant = fc.record({ price: amount, salePrice: fc.option(amount, { nil: null }) });

test('a price is a whole number, never negative, and its steps never rise', () => {
  fc.assert(
    fc.property(terms, variant, fc.integer({ min: 1, max: 100 }), (of, priced, quantity) => {
      const amounts = priceSteps(of, priced, NOW, quantity).map((step) => step.amount);
      for (const each of amounts) expect(Number.isSafeInteger(each) && each >= 0).toBe(true);
      expect([...amounts].sort((a, b) => b - a)).toEqual(amounts);
    }),
  );
});

test('more pieces never cost more each', () => {
  fc.assert(
    fc.property(terms, variant, fc.integer({ min: 1, max: 99 }), (of, priced, quantity) => {
      const last = (pieces: number) => priceSteps(of, priced, NOW, pieces).at(-1)!.amount;
      expect(refuseQuantityPrices(of.quantityPrices)).toBeUndefined();
      expect(last(quantity + 1)).toBeLessThanOrEqual(last(quantity));
    }),
  );
});

test('a sale holds from its first second up to, and not including, its last', () => {
  const sale = { ...plain, saleFrom: iso(NOW), saleUntil: iso(NOW + 60) };
  const at = (second: number) => effectivePrice(sale, { price: 6400, salePrice: 5800 }, second);
  expect(at(NOW - 1)).toEqual({ price: 6400, wasPrice: null });
  expect(at(NOW)).toEqual({ price: 5800, wasPrice: 6400 });
  expect(at(NOW + 59)).toEqual({ price: 5800, wasPrice: 6400 });
  expect(at(NOW + 60)).toEqual({ price: 6400, wasPrice: null });
});

test('the trace names each step that made the price', () => {
  const sale = { ...plain, saleUntil: iso(NOW + 60), quantityPrices: [{ from: 6, off: 500 }] };
  expect(priceSteps(sale, { price: 6400, salePrice: 5800 }, NOW, 6)).toEqual([
    { what: 'price', amount: 6400 },
    { what: 'sale', amount: 5800, until: iso(NOW + 60) },
    { what: 'quantity', amount: 5510, from: 6, off: 500 },
  ]);
});

test('unit prices are told for what the seller chose', () => {
  expect(unitPrice(1250, 50_000, 'm')).toBe(25);
  expect(unitPrice(799, 250, '100g')).toBe(320);
  expect(unitPrice(799, null, '100g')).toBeNull();
});

test('margin is of the price without tax', () => {
  expect(marginOf(12_100, 5_000, 2_100, true)).toBe(5_000);
  expect(marginOf(10_000, 5_000, 2_100, false)).toBe(5_000);
  expect(marginOf(10_000, null, 2_100, true)).toBeNull();
});

test.each([
  [
    [
      { from: 6, off: 500 },
      { from: 6, off: 900 },
    ],
    1,
  ],
  [
    [
      { from: 2, off: 500 },
      { from: 6, off: 500 },
    ],
    1,
  ],
  [
    [
      { from: 2, off: 300 },
      { from: 6, off: 500 },
    ],
    undefined,
  ],
])('quantity prices %j are refused at %s', (list, at) => expect(refuseQuantityPrices(list)?.at).toBe(at));

test('a sale cannot end before it starts', () => {
  expect(refuseSpan(iso(NOW), iso(NOW))).toMatch(/after the beginning/);
  expect(refuseSpan(iso(NOW), null)).toBeUndefined();
});

/** The lowest price by asking second by second. */
function lowestByLooking(spans: readonly PriceSpan[], now: number): number | undefined {
  const at = (second: number) => spans.findLast(({ since }) => since <= second);
  const isReduced = (span: PriceSpan, second: number) =>
    span.salePrice !== null && span.salePrice < span.price && isSaleTime(span, second);
  const holding = at(now);
  if (!holding || !isReduced(holding, now)) return undefined;
  let begin = now;
  while (begin > holding.since && isReduced(holding, begin - 1)) begin--;
  let lowest: number | undefined;
  for (let second = begin - 30 * 86_400; second < begin; second++) {
    const span = at(second);
    if (!span) continue;
    const price = isReduced(span, second) ? span.salePrice! : span.price;
    if (lowest === undefined || price < lowest) lowest = price;
    // Far from any edge nothing changes: the next one is what matters.
    if (second < NOW - 4_000) second = Math.max(second, Math.min(NOW - 4_000, begin) - 2);
  }
  return lowest;
}

test('the lowest price of the 30 days before a reduction is what looking second by second finds', () => {
  const near = fc.integer({ min: NOW - 1_500, max: NOW + 200 });
  const span = fc.record({
    since: near,
    price: fc.integer({ min: 1, max: 9 }),
    salePrice: fc.option(fc.integer({ min: 1, max: 9 }), { nil: null }),
    saleFrom: fc.option(near.map(iso), { nil: null }),
    saleUntil: fc.option(near.map(iso), { nil: null }),
  });
  fc.assert(
    fc.property(fc.uniqueArray(span, { minLength: 1, maxLength: 4, selector: ({ since }) => since }), (list) => {
      const spans = [...list].sort((a, b) => a.since - b.since);
      expect(lowestBefore(spans, NOW)).toBe(lowestByLooking(spans, NOW));
    }),
    { numRuns: 80 },
  );
});

test('a step for the sale is told only while one holds, and one for pieces only from their number on', () => {
  const of = { ...plain, quantityPrices: [{ from: 3, off: 1_000 }] };
  const steps = (quantity: number, salePrice: number | null) =>
    priceSteps(of, { price: 1_000, salePrice }, NOW, quantity).map(({ what, amount: each }) => [what, each]);
  expect(steps(2, null)).toEqual([['price', 1_000]]);
  expect(steps(3, null)).toEqual([
    ['price', 1_000],
    ['quantity', 900],
  ]);
  expect(steps(3, 800)).toEqual([
    ['price', 1_000],
    ['sale', 800],
    ['quantity', 720],
  ]);
});

test('nothing is told per unit where there is no unit, or nothing in it', () => {
  expect(unitPrice(500, 250, 'kg')).toBe(2_000);
  for (const [content, unit] of [
    [null, 'kg'],
    [250, null],
    [0, 'kg'],
    [-5, 'kg'],
  ] as const)
    expect(unitPrice(500, content, unit)).toBeNull();
});

test('a sale price has to be below the price', () => {
  expect(refuseSalePrice(1_000, 999)).toBeUndefined();
  expect(refuseSalePrice(1_000, null)).toBeUndefined();
  for (const sale of [1_000, 1_001])
    expect(refuseSalePrice(1_000, sale)).toBe('The sale price must be below the price.');
});

test('a time with one open end can be; one whose ends are the same moment cannot', () => {
  expect(refuseSpan(iso(NOW), null)).toBeUndefined();
  expect(refuseSpan(null, iso(NOW))).toBeUndefined();
  expect(refuseSpan(null, null)).toBeUndefined();
  expect(refuseSpan(iso(NOW), iso(NOW + 1))).toBeUndefined();
  expect(refuseSpan(iso(NOW), iso(NOW))).toBe('The end must come after the beginning.');
});

test('what is wrong with quantity prices is said with the numbers of the one before', () => {
  const said = (from: number, off: number) =>
    refuseQuantityPrices([
      { from: 3, off: 1_250 },
      { from, off },
    ]);
  expect(said(3, 2_000)).toEqual({ at: 1, message: 'This must begin above 3 pieces.' });
  expect(said(4, 1_250)).toEqual({ at: 1, message: 'More pieces must cost less: take more than 12.5 % off.' });
  expect(said(4, 1_251)).toBeUndefined();
});

test('tax comes out of a price that contains it; margin and mark-up are of what is left', () => {
  expect([netOf(12_100, 2_100, true), netOf(12_100, 2_100, false)]).toEqual([10_000, 12_100]);
  expect(markUpOf(12_100, 5_000, 2_100, true)).toBe(10_000);
  expect(markUpOf(12_100, 5_000, 2_100, false)).toBe(14_200);
  expect(markUpOf(5_000, 10_000, 0, false)).toBe(-5_000);
  expect([markUpOf(100, null, 0, true), markUpOf(100, 0, 0, true)]).toEqual([null, null]);
  expect([marginOf(0, 100, 0, true), marginOf(100, null, 0, true)]).toEqual([null, null]);
});
