import fc from 'fast-check';
import { kiteSheet, NOW, productArbitrary, shopOf } from '../testing/shop';
import { membersOf } from './members';
import { takesIn } from './predicate';
import type { Condition, Rule, RuleNode, VariantGroup } from './rule';

const number = fc.constantFrom('below', 'atMost', 'equals', 'atLeast', 'above') as fc.Arbitrary<Condition['is']>;
const choices = (field: string, values: string[]) =>
  fc.record({
    field: fc.constant(field),
    is: fc.constantFrom('anyOf' as const, 'noneOf' as const),
    value: fc.uniqueArray(fc.constantFrom(...values, 'gone'), { maxLength: 2 }),
  });
const onVariant: fc.Arbitrary<Condition> = fc.oneof(
  fc.record({ field: fc.constant('price'), is: number, value: fc.integer({ min: 0, max: 6 }).map((x) => x * 100) }),
  fc.record({ field: fc.constant('stock'), is: number, value: fc.integer({ min: 0, max: 3 }) }),
  fc.record({
    field: fc.constant('onSale'),
    is: fc.constantFrom('yes' as const, 'no' as const),
    value: fc.constant(null),
  }),
  choices('option.colourway', ['ember', 'pine']),
  choices('option.size', ['s', 'l']),
);
const condition: fc.Arbitrary<Condition> = fc.oneof(
  onVariant,
  choices('category', ['c_kites', 'c_deltas', 'c_line']),
  choices('tag', ['t_indoor', 't_night']),
  choices('brand', ['b_alula', 'b_tern']),
  choices('kind', ['physical', 'digital']),
  choices('standing', ['live', 'draft', 'off', 'soldOut', 'waiting', 'ended']),
  choices('spec.a_cloth', ['q_nylon', 'q_paper']),
  fc.record({
    field: fc.constantFrom('spec.a_span', 'spec.a_wind.from', 'spec.a_wind.upTo'),
    is: number,
    value: fc.integer({ min: 0, max: 4 }).map((n) => n * 1000),
  }),
  fc.record({
    field: fc.constant('spec.a_glows'),
    is: fc.constantFrom('yes' as const, 'no' as const),
    value: fc.constant(null),
  }),
  fc.record({
    field: fc.constant('title'),
    is: fc.constantFrom('contains' as const, 'starts' as const, 'equals' as const),
    value: fc.constantFrom('DELTA', 'night', 'wren sled', '', 'é'),
  }),
  fc.record({
    field: fc.constant('created'),
    is: fc.constant('inLast' as const),
    value: fc.integer({ min: 0, max: 60 }),
  }),
  fc.record({
    field: fc.constant('created'),
    is: fc.constantFrom('before' as const, 'after' as const),
    value: fc.integer({ min: NOW - 5_000_000, max: NOW }),
  }),
  fc.record({
    field: fc.constant('price'),
    is: fc.constant('between' as const),
    value: fc.tuple(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 0, max: 500 })),
  }),
  fc.constant({ field: 'unknown', is: 'equals' as const, value: 1 }),
);
const match = fc.constantFrom('all' as const, 'any' as const, 'none' as const);
const variantGroup: fc.Arbitrary<VariantGroup> = fc.record({
  variants: fc.constantFrom('some' as const, 'every' as const),
  match,
  of: fc.array(fc.oneof({ weight: 9, arbitrary: onVariant }, { weight: 1, arbitrary: condition }), { maxLength: 3 }),
});
const { rule } = fc.letrec<{ rule: Rule; node: RuleNode }>((tie) => ({
  node: fc.oneof({ maxDepth: 3 }, condition, variantGroup, tie('rule')),
  rule: fc.record({ match, of: fc.array(tie('node'), { maxLength: 4 }) }),
}));

const products = fc.uniqueArray(productArbitrary(fc.integer({ min: 0, max: 30 }).map((n) => `p_${n}`)), {
  selector: (product) => product.id,
  maxLength: 10,
});
const stock = fc.dictionary(
  fc.tuple(fc.integer({ min: 0, max: 30 }), fc.constantFrom('00', '01', '10', '11')).map(([n, v]) => `p_${n}v${v}`),
  fc.option(fc.integer({ min: 0, max: 3 })),
);

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
    { numRuns: 500 },
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
      const collection = {
        id: 'k_1',
        name: 'One',
        slug: 'one',
        text: '',
        source: 'rule' as const,
        picked: [],
        rule: asked,
        sort: 'newest' as const,
      };
      shop.apply('collection', 'k_1', collection);
      shop.members('k_1', NOW);
      for (const each of edits) {
        if ('put' in each) {
          shop.apply('product', each.put.id, each.put);
          all.set(each.put.id, each.put);
        } else if ('remove' in each) {
          shop.apply('product', each.remove, undefined);
          all.delete(each.remove);
        } else if ('left' in each) {
          left.set(each.variant, each.left);
          shop.refreshAll([each.product]);
        } else if ('seconds' in each) {
          shop.passTime((now += each.seconds));
        } else if ('attributes' in each) {
          shop.apply('specSheet', 'x_kite', { ...kiteSheet, attributes: each.attributes });
        } else {
          const deltas = shop.categories.get('c_deltas')!;
          shop.apply('category', 'c_deltas', { ...deltas, parentId: each.moveDeltas });
        }
      }
      const fresh = shopOf([...all.values()], left, now);
      fresh.apply('specSheet', 'x_kite', shop.specSheets.get('x_kite'));
      for (const category of shop.categories.values()) fresh.apply('category', category.id, category);
      fresh.apply('collection', 'k_1', collection);
      const names = (of: typeof shop) =>
        of
          .members('k_1', now)
          .toArray()
          .map((slot) => of.index.id(slot))
          .sort();
      expect(names(shop)).toEqual(names(fresh));
    }),
    { numRuns: 200 },
  );
});
