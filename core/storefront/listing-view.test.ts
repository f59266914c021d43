import { NOW, productOf, shopOf } from '../testing/shop';
import { listingView, type ListingRequest } from './listing-view';

const variant = (id: string, price: number, salePrice: number | null = null) => ({
  ...productOf(id).variants[0]!,
  price,
  salePrice,
});
const at = (daysAgo: number) => new Date((NOW - daysAgo * 86_400) * 1000).toISOString();

function shop() {
  return shopOf([
    productOf('p_a1', { variants: [variant('p_a1', 1_000, 900)], created: at(100), brandId: 'b_tern' }),
    productOf('p_b2', { variants: [variant('p_b2', 1_000, 500)], created: at(90), brandId: 'b_tern' }),
    productOf('p_c4', { variants: [variant('p_c4', 1_000)], created: at(2), brandId: 'b_tern' }),
    productOf('p_d6', { variants: [variant('p_d6', 1_000)], created: at(80), brandId: 'b_tern' }),
  ]);
}

function ask(over: Partial<ListingRequest> = {}) {
  const request = { at: { kind: 'all' as const }, q: '', page: 1, sort: '', price: null, ...over };
  return listingView(shop(), { choices: new Map(), spans: new Map(), ...request }, NOW);
}
const ids = (view: ReturnType<typeof ask>) => view.items.map(({ id }) => id);
const chosen = (key: string, value = 'yes') => new Map([[key, [value]]]);

test('the largest reduction comes first, then what is not reduced; most sold by what was sold', () => {
  expect(ids(ask({ sort: 'discount' })).slice(0, 2)).toEqual(['p_b2', 'p_a1']);
  // More pieces of those whose id ends in a higher digit; see the shop of the tests.
  expect(ids(ask({ sort: 'sold' }))).toEqual(['p_d6', 'p_c4', 'p_b2', 'p_a1']);
});

test('reduced goods and new ones are filters, each with its count whatever of it is chosen', () => {
  const facet = (view: ReturnType<typeof ask>, key: string) => view.facets.find((each) => each.key === key);
  expect(facet(ask(), 'sale')).toMatchObject({ values: [{ label: 'On sale', count: 2 }] });
  expect(facet(ask(), 'new')).toMatchObject({ values: [{ label: 'Added in 30 days', count: 1 }] });
  expect(ids(ask({ choices: chosen('sale') })).sort()).toEqual(['p_a1', 'p_b2']);
  const fresh = ask({ choices: chosen('new') });
  expect(ids(fresh)).toEqual(['p_c4']);
  expect(facet(fresh, 'new')).toMatchObject({ values: [{ count: 1, selected: true }] });
});

test('what all of the goods have is no filter, unless it is chosen', () => {
  const brand = (view: ReturnType<typeof ask>) => view.facets.find(({ key }) => key === 'brand');
  expect(brand(ask())).toBeUndefined();
  expect(brand(ask({ choices: chosen('brand', 'tern') }))).toMatchObject({
    values: [{ label: 'Tern', selected: true }],
  });
});

test('a search sorts by fit unless another order is asked for', () => {
  expect(ask({ q: 'kite' }).sort).toBe('match');
  expect(ask({ q: 'kite', sort: 'newest' }).sort).toBe('newest');
  expect(ask().sort).toBe('featured');
});

test('of goods that a search fits alike, featured ones come first, then what sold more, then what is in stock', () => {
  const same = { title: 'Tern kite', created: at(50), whenSoldOut: 'keep' as const };
  const kites = shopOf(
    [
      productOf('p_t2', { ...same, variants: [variant('p_t2', 1_000)] }),
      productOf('p_t1', { ...same, variants: [variant('p_t1', 1_000)] }),
      productOf('p_s1', { ...same, variants: [variant('p_s1', 1_000)] }),
      productOf('p_f1', { ...same, featured: true, variants: [variant('p_f1', 1_000)] }),
    ],
    new Map([[productOf('p_s1').variants[0]!.id, 0]]),
  );
  const request = { at: { kind: 'all' as const }, q: 'tern', page: 1, sort: '', price: null };
  const view = listingView(kites, { choices: new Map(), spans: new Map(), ...request }, NOW);
  const order = ids(view);
  expect(order[0]).toBe('p_f1');
  expect(order.indexOf('p_t2')).toBeLessThan(order.indexOf('p_t1'));
  expect(order.indexOf('p_t1')).toBeLessThan(order.indexOf('p_s1'));
});
