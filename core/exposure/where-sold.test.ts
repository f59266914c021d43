import fc from 'fast-check';
import { salesByPlace } from './where-sold';

test('the money of a product is put down to where it was opened, in proportion', () => {
  const sold = [
    { productId: 'tern', value: 9_000 },
    { productId: 'wren', value: 1_000 },
    { productId: 'unseen', value: 5_000 },
  ];
  const met = [
    { productId: 'tern', place: 'page/home', times: 2 },
    { productId: 'tern', place: 'search', times: 1 },
    { productId: 'wren', place: 'search', times: 4 },
    { productId: 'unsold', place: 'tag/t_1', times: 7 },
  ];
  expect(salesByPlace(sold, met)).toEqual([
    { place: 'page/home', times: 2, value: 6_000 },
    { place: 'search', times: 5, value: 4_000 },
    { place: 'tag/t_1', times: 7, value: 0 },
  ]);
});

const products = fc.constantFrom('a', 'b', 'c');
const place = fc.constantFrom('search', 'outside', 'page/p', 'category/c');

test('law: no money is lost or made, but that of goods that nobody opened', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.record({ productId: products, value: fc.nat(100_000) }), {
        selector: ({ productId }) => productId,
      }),
      fc.uniqueArray(fc.record({ productId: products, place, times: fc.integer({ min: 1, max: 50 }) }), {
        selector: (each) => `${each.productId} ${each.place}`,
      }),
      (sold, met) => {
        const opened = new Set(met.map(({ productId }) => productId));
        const total = sold.reduce((sum, each) => sum + (opened.has(each.productId) ? each.value : 0), 0);
        const places = salesByPlace(sold, met);
        const told = places.reduce((sum, { value }) => sum + value, 0);
        expect(Math.abs(told - total)).toBeLessThanOrEqual(places.length);
        expect(places.reduce((sum, { times }) => sum + times, 0)).toBe(met.reduce((sum, { times }) => sum + times, 0));
      },
    ),
  );
});
