import fc from 'fast-check';
import { NEWEST_FIRST, orderName, orderOfText, orderText, type Order } from '../model/order';
import { productArbitrary, productOf, shopOf, put } from '../testing/shop';
import { stockArbitrary } from '../testing/rules';
import { arranged, orderOf } from './arrangement';
import { mixed } from '../shared/interleaving';

const products = fc.uniqueArray(productArbitrary(fc.integer({ min: 0, max: 30 }).map((n) => `p_${n}`)), {
  selector: (product) => product.id,
  maxLength: 10,
});
const key = fc.record({
  by: fc.constantFrom('featured', 'title', 'created', 'price', 'margin', 'stock', 'discount', 'sold30', 'spec.a_span'),
  down: fc.boolean(),
});
const order: fc.Arbitrary<Order> = fc.record({
  keys: fc.array(key, { minLength: 1, maxLength: 2 }),
  mix: fc.constantFrom('none', 'brand', 'category'),
  soldOutLast: fc.boolean(),
});
const pins = fc.uniqueArray(
  fc.integer({ min: 0, max: 30 }).map((n) => `p_${n}`),
  { maxLength: 3 },
);

test('an order is total and stable: the same members stand alike, however they were put in, and pins stand first', () => {
  fc.assert(
    fc.property(products, stockArbitrary, order, pins, (all, left, wanted, pinned) => {
      const stock = new Map(Object.entries(left));
      const stand = (list: typeof all) => {
        const shop = shopOf(list, stock);
        return arranged(shop, shop.listed, { pins: pinned, order: wanted }).map((slot) => shop.index.id(slot));
      };
      const shop = shopOf(all, stock);
      const out = stand(all);
      expect([...out].sort()).toEqual(
        shop.listed
          .toArray()
          .map((slot) => shop.index.id(slot))
          .sort(),
      );
      expect(stand([...all].reverse())).toEqual(out);
      const isOut = (id: string) => wanted.soldOutLast && shop.facts(id)!.status.includes('soldOut');
      const first = pinned.filter((id) => out.includes(id) && !isOut(id));
      expect(out.slice(0, first.length)).toEqual(first);
      if (wanted.soldOutLast) expect(out.map(isOut)).toEqual(out.map(isOut).sort((a, b) => Number(a) - Number(b)));
    }),
    { numRuns: 120 },
  );
});

test('goods stand alike after they were changed one by one and in a shop that is made afresh', () => {
  const edits = fc.array(productArbitrary(fc.integer({ min: 0, max: 12 }).map((n) => `p_${n}`)), { maxLength: 8 });
  fc.assert(
    fc.property(products, edits, order, (start, changes, wanted) => {
      const shop = shopOf(start);
      const all = new Map(start.map((product) => [product.id, product]));
      const stand = (of: typeof shop) =>
        arranged(of, of.listed, { pins: [], order: wanted }).map((slot) => of.index.id(slot));
      for (const change of changes) {
        stand(shop);
        put(shop, 'product', change.id, change);
        all.set(change.id, change);
      }
      expect(stand(shop)).toEqual(stand(shopOf([...all.values()])));
    }),
  );
});

test('by its keys, highest or lowest first, and those without a number last either way', () => {
  const shop = shopOf([
    productOf('p_1', { specSheetId: 'x_kite', specs: { a_span: 2_000 } }),
    productOf('p_2'),
    productOf('p_3', { specSheetId: 'x_kite', specs: { a_span: 3_000 } }),
  ]);
  const by = (down: boolean) =>
    arranged(shop, shop.listed, {
      pins: [],
      order: { keys: [{ by: 'spec.a_span', down }], mix: 'none', soldOutLast: false },
    }).map((slot) => shop.index.id(slot));
  expect(by(true)).toEqual(['p_3', 'p_1', 'p_2']);
  expect(by(false)).toEqual(['p_1', 'p_3', 'p_2']);
});

test('spread so that neighbours differ wherever that can be, and the same each time', () => {
  fc.assert(
    fc.property(fc.array(fc.option(fc.constantFrom('a', 'b', 'c', 'd'))), (sorts) => {
      const things = sorts.map((sort, place) => ({ sort: sort ?? undefined, place }));
      const out = mixed(things, ({ sort }) => sort);
      expect(out.map(({ place }) => place).sort((x, y) => x - y)).toEqual(things.map(({ place }) => place));
      const counts = new Map<string, number>();
      for (const { sort } of things) if (sort) counts.set(sort, (counts.get(sort) ?? 0) + 1);
      const most = Math.max(0, ...counts.values());
      const alike = out.filter(({ sort }, i) => sort !== undefined && i > 0 && out[i - 1]!.sort === sort).length;
      // So many of one sort that the others cannot part them all.
      expect(alike).toBe(Math.max(0, 2 * most - 1 - things.length));
      for (const sort of counts.keys()) {
        const own = out.filter((thing) => thing.sort === sort).map(({ place }) => place);
        expect(own).toEqual([...own].sort((x, y) => x - y));
      }
      expect(mixed(things, ({ sort }) => sort)).toEqual(out);
    }),
    { numRuns: 200 },
  );
});

test('an order is stored as its name, or as itself, and comes back the same', () => {
  fc.assert(
    fc.property(order, (wanted) => {
      expect(orderOfText(orderText(wanted))).toEqual(wanted);
    }),
  );
  expect(orderText(NEWEST_FIRST)).toBe('newest');
  expect(orderName({ ...NEWEST_FIRST, soldOutLast: true })).toBeUndefined();
  expect(orderOfText('{"keys":[]}')).toEqual(NEWEST_FIRST);
});

test('an order is said in words', () => {
  const shop = shopOf([]);
  const words = orderOf(shop, {
    keys: [
      { by: 'margin', down: true },
      { by: 'title', down: false },
    ],
    mix: 'brand',
    soldOutLast: true,
  });
  expect(words).toBe(
    'margin, highest first, then title, A to Z, spread so that neighbours differ in brand; sold out last',
  );
});
