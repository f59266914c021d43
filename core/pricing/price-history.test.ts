import fc from 'fast-check';
import { lowestUntil, type AskedSpan, type PriceSpan } from './lowest';
import { priceHistory } from './price-history';

const DAY = 86_400;
const iso = (seconds: number) => new Date(seconds * 1_000).toISOString();
const span = (since: number, price: number, over: Partial<PriceSpan> = {}): PriceSpan => ({
  since,
  price,
  salePrice: null,
  saleFrom: null,
  saleUntil: null,
  ...over,
});

test('a step for each edition that changed the price, for sales and for offers', () => {
  const spans = [
    span(0, 1_000),
    span(10 * DAY, 1_000),
    span(20 * DAY, 1_200, { salePrice: 900, saleFrom: iso(30 * DAY), saleUntil: iso(40 * DAY) }),
  ];
  const asked: AskedSpan[] = [
    { since: 45 * DAY, price: 800 },
    { since: 50 * DAY, price: null },
  ];
  expect(priceHistory(spans, asked, 5 * DAY, 60 * DAY)).toEqual([
    { at: 5 * DAY, price: 1_000, list: 1_000 },
    { at: 20 * DAY, price: 1_200, list: 1_200 },
    { at: 30 * DAY, price: 900, list: 1_200 },
    { at: 40 * DAY, price: 1_200, list: 1_200 },
    { at: 45 * DAY, price: 800, list: 1_200 },
    { at: 50 * DAY, price: 1_200, list: 1_200 },
  ]);
});

test('what changes at one moment is one step, the last moment counts, and a list price that changes alone is told', () => {
  const spans = [
    span(0, 1_000),
    span(10 * DAY, 1_500, { salePrice: 1_200, saleFrom: iso(10 * DAY) }),
    span(20 * DAY, 1_800, { salePrice: 1_200, saleFrom: iso(10 * DAY) }),
  ];
  const asked: AskedSpan[] = [
    { since: 10 * DAY, price: 1_100 },
    { since: 15 * DAY, price: null },
  ];
  expect(priceHistory(spans, asked, 0, 20 * DAY)).toEqual([
    { at: 0, price: 1_000, list: 1_000 },
    { at: 10 * DAY, price: 1_100, list: 1_500 },
    { at: 15 * DAY, price: 1_200, list: 1_500 },
    { at: 20 * DAY, price: 1_200, list: 1_800 },
  ]);
});

test('what was never sold has no history, nor has it what it is sold for only later', () => {
  expect(priceHistory([], [], 0, DAY)).toEqual([]);
  expect(priceHistory([span(2 * DAY, 500)], [], 0, DAY)).toEqual([]);
});

test('its lowest price is the lowest that the shop tells of the same days', () => {
  const days = fc.integer({ min: 0, max: 60 });
  const spansArbitrary = fc
    .uniqueArray(fc.record({ day: days, price: fc.integer({ min: 100, max: 900 }), from: days, until: days }), {
      selector: ({ day }) => day,
      minLength: 1,
      maxLength: 6,
    })
    .map((all) =>
      all
        .sort((a, b) => a.day - b.day)
        .map(({ day, price, from, until }) =>
          span(day * DAY, price, {
            salePrice: until > from ? price - 50 : null,
            saleFrom: iso(from * DAY),
            saleUntil: iso(until * DAY),
          }),
        ),
    );
  const askedArbitrary = fc
    .uniqueArray(fc.record({ day: days, off: fc.option(fc.integer({ min: 1, max: 99 })) }), {
      selector: ({ day }) => day,
      maxLength: 4,
    })
    .map((all) => all.sort((a, b) => a.day - b.day));
  fc.assert(
    fc.property(spansArbitrary, askedArbitrary, (spans, offers) => {
      // Offers only hold for what is sold.
      const asked = offers
        .filter(({ day }) => day * DAY >= spans[0]!.since)
        .map(({ day, off }) => ({ since: day * DAY, price: off }));
      const end = 60 * DAY;
      const history = priceHistory(spans, asked, end - 30 * DAY, end - 1);
      const told = history.map(({ price }) => price);
      expect(told.length > 0 ? Math.min(...told) : undefined).toBe(lowestUntil(spans, end, asked));
      for (const [i, each] of history.entries()) {
        expect(each.at).toBeGreaterThan(history[i - 1]?.at ?? -1);
        expect([each.price, each.list]).not.toEqual([history[i - 1]?.price, history[i - 1]?.list]);
      }
    }),
  );
});
