import fc from 'fast-check';
import type { Bundle, Slot } from '../model/bundle';
import type { ProductDocument } from '../model/document';
import type { Rule } from '../model/rule';
import { NOW, productArbitrary, productOf, shopOf, put } from '../testing/shop';
import { bundleView } from '../storefront/bundle-view';
import { cardOf } from '../storefront/card';
import { productView } from '../storefront/product-view';

const slot = (label: string, from: Slot['from'], over: Partial<Slot> = {}): Slot => ({
  id: `z_${label}`,
  label,
  from,
  min: 1,
  max: 1,
  usual: null,
  ...over,
});
const picked = (...ids: string[]): Slot['from'] => ({ how: 'picked', ids });
const ofTag = (tag: string): Slot['from'] => ({
  how: 'rule',
  rule: { match: 'all', of: [{ field: 'tag', is: 'anyOf', value: [tag] }] },
});
const bundleOf = (slots: Slot[], pricing: Bundle['pricing'] = { how: 'parts', off: 1_000 }): ProductDocument =>
  productOf('p_set', { kind: 'bundle', bundle: { slots, pricing } });
const priced = (id: string, price: number, over: Partial<ProductDocument> = {}) => {
  const product = productOf(id, over);
  return { ...product, variants: product.variants.map((variant) => ({ ...variant, price })) };
};

describe('a bundle in the shop', () => {
  const kite = priced('p_kite', 4_000);
  const line = priced('p_line', 1_000);

  test('costs the sum of its parts less its percentage, and can be made while all parts are there', () => {
    const stock = new Map([
      ['p_kitev', 5],
      ['p_linev', 7],
    ]);
    const set = bundleOf([slot('Kite', picked('p_kite')), slot('Line', picked('p_line'), { min: 2, max: 2 })]);
    const shop = shopOf([kite, line, set], stock);
    expect(shop.facts('p_set')).toMatchObject({
      price: 5_400,
      priceMax: 5_400,
      stock: 3,
      status: ['live', 'listed'],
    });
    stock.set('p_linev', 1);
    shop.take({ refreshed: ['p_line'] });
    expect(shop.facts('p_set')).toMatchObject({ stock: 0, status: ['live', 'listed', 'soldOut'] });
    expect(productView(shop, set).inStock).toBe(false);
  });

  test('shows from its cheapest to its dearest choice on its card', () => {
    const shop = shopOf([kite, line, bundleOf([slot('One', picked('p_kite', 'p_line'))])]);
    expect(cardOf(shop, shop.index.slot('p_set')!).price).toMatchObject({ min: 900, max: 3_600 });
  });

  test('keeps a fixed price, whatever its parts cost', () => {
    const shop = shopOf([kite, { ...bundleOf([slot('Kite', picked('p_kite'))], { how: 'fixed' }) }]);
    expect(shop.facts('p_set')).toMatchObject({ price: 1_000, priceMax: 1_000, stock: Infinity });
  });

  test('offers only what is on the shop, has a told price and is no bundle itself', () => {
    const parts = [
      priced('p_draft', 100, { status: 'draft' }),
      priced('p_asked', 100, { priceOnRequest: true }),
      productOf('p_other', { kind: 'bundle', bundle: { slots: [], pricing: { how: 'fixed' } } }),
    ];
    const shop = shopOf([
      kite,
      ...parts,
      bundleOf([slot('One', picked('p_draft', 'p_asked', 'p_other', 'p_gone', 'p_kite'))]),
    ]);
    const view = bundleView(shop, shop.products.get('p_set')!)!;
    expect(view.slots[0]!.parts.map(({ id }) => id)).toEqual(['p_kite']);
  });

  test('follows a rule: a product that gets the tag joins, and a sale of a part makes it cheaper at once', () => {
    const sale = new Date((NOW + 10) * 1000).toISOString();
    const shop = shopOf([kite, line, bundleOf([slot('Any', ofTag('t_night'))], { how: 'parts', off: 0 })]);
    expect(shop.facts('p_set')).toMatchObject({ price: 0, stock: 0 });
    const variants = kite.variants.map((variant) => ({ ...variant, salePrice: 3_000 }));
    put(shop, 'product', 'p_kite', { ...kite, tagIds: ['t_night'], variants, saleFrom: sale });
    expect(shop.facts('p_set')).toMatchObject({ price: 4_000, stock: Infinity });
    shop.take({ now: NOW + 11 });
    expect(shop.facts('p_set')!.price).toBe(3_000);
    put(shop, 'product', 'p_kite', undefined);
    expect(shop.facts('p_set')).toMatchObject({ price: 0, stock: 0 });
  });
});

test('facts of bundles stay true while their parts change one by one and time passes', () => {
  const ids = ['p_0', 'p_1', 'p_2', 'p_3'];
  const part = productArbitrary(fc.constantFrom(...ids));
  const rule: Rule = {
    match: 'any',
    of: [
      { field: 'price', is: 'below', value: 300 },
      { field: 'tag', is: 'anyOf', value: ['t_night'] },
    ],
  };
  const edit = fc.oneof(
    part.map((put) => ({ put })),
    fc.constantFrom(...ids).map((remove) => ({ remove })),
    fc
      .tuple(fc.constantFrom(...ids), fc.constantFrom('00', '01', '10', '11'), fc.integer({ min: 0, max: 3 }))
      .map(([product, v, left]) => ({ product, variant: `${product}v${v}`, left })),
    fc.integer({ min: 1, max: 40 }).map((seconds) => ({ seconds })),
  );
  const set = bundleOf([
    slot('Picked', picked('p_0', 'p_1'), { min: 1, max: 2 }),
    slot('Rule', { how: 'rule', rule }, { min: 2, max: 3 }),
  ]);
  fc.assert(
    fc.property(
      fc.uniqueArray(part, { selector: ({ id }) => id }),
      fc.array(edit, { maxLength: 12 }),
      (start, edits) => {
        let now = NOW;
        const left = new Map<string, number | null>();
        const shop = shopOf([...start, set], left);
        const all = new Map(start.map((product) => [product.id, product]));
        for (const each of edits) {
          if ('put' in each) {
            put(shop, 'product', each.put.id, each.put);
            all.set(each.put.id, each.put);
          } else if ('remove' in each) {
            put(shop, 'product', each.remove, undefined);
            all.delete(each.remove);
          } else if ('left' in each) {
            left.set(each.variant, each.left);
            shop.take({ refreshed: [each.product] });
          } else shop.take({ now: (now += each.seconds) });
        }
        const fresh = shopOf([...all.values(), set], left, now);
        const { slots, ...facts } = shop.bundles.get('p_set')!;
        const { slots: freshSlots, ...freshFacts } = fresh.bundles.get('p_set')!;
        const idsOf = (of: typeof slots) => of.map(({ products }) => products.map(({ id }) => id).sort());
        expect({ ...facts, ids: idsOf(slots) }).toEqual({ ...freshFacts, ids: idsOf(freshSlots) });
        expect(shop.facts('p_set')).toEqual(fresh.facts('p_set'));
      },
    ),
    { numRuns: 120 },
  );
});
