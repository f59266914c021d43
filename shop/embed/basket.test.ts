/** @jest-environment jsdom */
import fc from 'fast-check';
import { EmbedBasket } from './basket';

const KEY = 'dispona basket https://shop.example';
beforeEach(() => localStorage.clear());
const basket = () => new EmbedBasket('https://shop.example');

test('a basket is kept by the browser, adds up pieces, and leads to the shop with them', () => {
  const first = basket();
  const told = jest.fn();
  const stop = first.onChange(told);
  first.add({ slug: 'tern', variant: 'v_red0001', quantity: 2 });
  first.add({ slug: 'wren', variant: 'v_wren001', quantity: 1 });
  first.add({ slug: 'tern', variant: 'v_red0001', quantity: 3 });
  expect(told).toHaveBeenCalledTimes(3);
  // Another place on the page, or the page loaded again, has the same.
  expect(basket().lines).toEqual([
    { slug: 'tern', variant: 'v_red0001', quantity: 5 },
    { slug: 'wren', variant: 'v_wren001', quantity: 1 },
  ]);
  const address = new URL(basket().checkoutIn(''));
  expect([address.origin, address.pathname]).toEqual(['https://shop.example', '/basket/take']);
  expect(address.searchParams.get('lines')).toBe('tern:v_red0001:5,wren:v_wren001:1');
  expect(new URL(basket().checkoutIn('/de')).pathname).toBe('/de/basket/take');
  stop();
  first.remove('v_red0001');
  expect(told).toHaveBeenCalledTimes(3);
  expect(basket().lines.map(({ slug }) => slug)).toEqual(['wren']);
});

test('whatever somebody put into the browser, a basket can be read, and its lines are whole', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.json(),
        fc.string(),
        fc
          .array(fc.record({ slug: fc.string(), variant: fc.string(), quantity: fc.integer() }))
          .map((lines) => JSON.stringify(lines)),
      ),
      (kept) => {
        localStorage.setItem(KEY, kept);
        for (const { slug, variant, quantity } of basket().lines) {
          expect([typeof slug, typeof variant]).toEqual(['string', 'string']);
          expect(quantity).toBeGreaterThan(0);
        }
      },
    ),
  );
});

test('never more than 999 pieces of one thing', () => {
  const full = basket();
  for (let i = 0; i < 3; i++) full.add({ slug: 'tern', variant: 'v_red0001', quantity: 900 });
  expect(full.lines[0]!.quantity).toBe(999);
});

test('a browser that keeps nothing can still look', () => {
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('full');
  });
  expect(() => basket().add({ slug: 'tern', variant: 'v_red0001', quantity: 1 })).not.toThrow();
  expect(basket().lines).toEqual([]);
  jest.restoreAllMocks();
});
