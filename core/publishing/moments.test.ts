import fc from 'fast-check';
import { pageOf, productOf, sectionOf } from '../testing/shop';
import { shopMoments } from './moments';

const at = (day: number) => `2027-03-${String(day).padStart(2, '0')}T08:00:00.000Z`;
const march = [Date.parse(at(1)), Date.parse(at(28))] as const;
const onSale = (id: string, over: object) => {
  const product = productOf(id, over);
  return { ...product, variants: product.variants.map((variant) => ({ ...variant, salePrice: 500 })) };
};

test('what begins or ends at one moment stands together, the earliest first', () => {
  const products = [
    onSale('p_a', { title: 'A', saleFrom: at(5), saleUntil: at(9) }),
    onSale('p_b', { title: 'B', saleFrom: at(5), liveUntil: at(20) }),
    productOf('p_c', { title: 'C', liveFrom: at(2) }),
  ];
  expect(shopMoments(products, [], march).map((each) => [each.at, each.what, each.titles])).toEqual([
    [at(2), 'comes', ['C']],
    [at(5), 'saleBegins', ['A', 'B']],
    [at(9), 'saleEnds', ['A']],
    [at(20), 'goes', ['B']],
  ]);
});

test('a draft has no days that shoppers notice, nor has a sale without a sale price', () => {
  const products = [
    onSale('p_a', { status: 'draft', saleFrom: at(5) }),
    productOf('p_b', { saleFrom: at(5), saleUntil: at(6) }),
  ];
  expect(shopMoments(products, [], march)).toEqual([]);
});

test('sections come and go on their pages, unless they are put away', () => {
  const section = (over: { id: string; from?: string; until?: string; hidden?: boolean }) =>
    sectionOf({ kind: 'text', ...over });
  const home = pageOf({
    id: 'g_home',
    title: 'Home',
    sections: [
      section({ id: 's_a', from: at(3), until: at(7) }),
      section({ id: 's_b', from: at(3) }),
      section({ id: 's_c', from: at(4), hidden: true }),
    ],
  });
  expect(shopMoments([], [home], march).map((each) => [each.at, each.what, each.ids])).toEqual([
    [at(3), 'sectionComes', ['g_home']],
    [at(7), 'sectionGoes', ['g_home']],
  ]);
});

test('law: nothing outside of the time looked at, in order, and each product once for a moment', () => {
  const day = fc.option(fc.integer({ min: 1, max: 28 }).map(at));
  fc.assert(
    fc.property(
      fc.array(fc.record({ saleFrom: day, saleUntil: day, liveFrom: day, liveUntil: day }), { maxLength: 12 }),
      fc.integer({ min: 1, max: 28 }),
      fc.integer({ min: 0, max: 27 }),
      (days, first, length) => {
        const range = [Date.parse(at(first)), Date.parse(at(Math.min(28, first + length)))] as const;
        const moments = shopMoments(
          days.map((each, i) => onSale(`p_${i}`, each)),
          [],
          range,
        );
        const times = moments.map((each) => Date.parse(each.at));
        expect([...times].sort((a, b) => a - b)).toEqual(times);
        for (const time of times) expect(time >= range[0] && time <= range[1]).toBe(true);
        for (const { ids } of moments) expect(new Set(ids).size).toBe(ids.length);
        const told = moments.reduce((sum, { ids }) => sum + ids.length, 0);
        const there = days
          .flatMap(Object.values)
          .filter((each: string | null) => each && Date.parse(each) >= range[0] && Date.parse(each) <= range[1]);
        expect(told).toBe(there.length);
      },
    ),
  );
});
