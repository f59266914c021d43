import fc from 'fast-check';
import { ruleArbitrary as rule, stockArbitrary as stock } from '../testing/rules';
import { collectionOf, kiteSheet, NOW, productArbitrary, shopOf, put } from '../testing/shop';
import { membersOf } from './members';
import { takesIn } from './predicate';

const products = fc.uniqueArray(productArbitrary(fc.integer({ min: 0, max: 30 }).map((n) => `p_${n}`)), {
  selector: (product) => product.id,
  maxLength: 10,
});
test('predicate and set evaluation agree on every product', () => {
  fc.assert(
    fc.property(products, stock, rule, (all, left, asked) => {
      const shop = shopOf(all, new Map(Object.entries(left)));
      const set = membersOf(asked, shop.index, shop.fields, NOW);
      for (const product of all) {
        const expected = takesIn(asked, shop.facts(product.id)!, shop.fields, NOW);
        expect([product.id, set.has(shop.index.slot(product.id)!)]).toEqual([product.id, expected]);
      }
    }),
    { numRuns: 200 },
  );
});

test('members of collections stay true while products, stock, groups and sheets change one by one and time passes', () => {
  const edit = fc.oneof(
    productArbitrary(fc.integer({ min: 0, max: 12 }).map((n) => `p_${n}`)).map((put) => ({ put })),
    fc.integer({ min: 0, max: 12 }).map((n) => ({ remove: `p_${n}` })),
    fc
      .tuple(fc.integer({ min: 0, max: 12 }), fc.constantFrom('00', '01', '10', '11'), fc.integer({ min: 0, max: 2 }))
      .map(([n, v, left]) => ({ product: `p_${n}`, variant: `p_${n}v${v}`, left })),
    fc.constantFrom(null, 'c_line', 'c_kites').map((parentId) => ({ moveDeltas: parentId })),
    fc.integer({ min: 1, max: 40 }).map((seconds) => ({ seconds })),
    fc.subarray(kiteSheet.attributes).map((attributes) => ({ attributes })),
  );
  fc.assert(
    fc.property(products, fc.array(edit, { maxLength: 15 }), rule, (start, edits, asked) => {
      let now = NOW;
      const left = new Map<string, number | null>();
      const shop = shopOf(start, left);
      const all = new Map(start.map((product) => [product.id, product]));
      const collection = collectionOf('k_1', { rule: asked });
      put(shop, 'collection', 'k_1', collection);
      shop.memberships.of('k_1', NOW);
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
        } else if ('seconds' in each) {
          shop.take({ now: (now += each.seconds) });
        } else if ('attributes' in each) {
          put(shop, 'specSheet', 'x_kite', { ...kiteSheet, attributes: each.attributes });
        } else {
          const deltas = shop.categories.get('c_deltas')!;
          put(shop, 'category', 'c_deltas', { ...deltas, parentId: each.moveDeltas });
        }
      }
      const fresh = shopOf([...all.values()], left, now);
      put(fresh, 'specSheet', 'x_kite', shop.specSheets.get('x_kite'));
      for (const category of shop.categories.values()) put(fresh, 'category', category.id, category);
      put(fresh, 'collection', 'k_1', collection);
      const names = (of: typeof shop) =>
        of.memberships
          .of('k_1', now)
          .toArray()
          .map((slot) => of.index.id(slot))
          .sort();
      expect(names(shop)).toEqual(names(fresh));
    }),
    { numRuns: 80 },
  );
});
