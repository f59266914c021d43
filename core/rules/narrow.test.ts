import fc from 'fast-check';
import { list } from '../search/listing';
import { NOW, productArbitrary, shopOf } from '../testing/shop';
import { nodeArbitrary, ruleArbitrary, stockArbitrary } from '../testing/rules';
import { checkRule } from './check';
import { filtersOf } from './filters';
import { membersOf } from './members';
import {
  addNode,
  chosenSpan,
  chosenValues,
  holdsNode,
  replaceAt,
  setSpan,
  toggleNode,
  toggleValue,
  turned,
  withoutUnfinished,
} from './narrow';
import { takesIn } from './predicate';
import { EMPTY_RULE, type Rule, type RuleNode } from '../model/rule';

const products = fc.uniqueArray(productArbitrary(fc.integer({ min: 0, max: 30 }).map((n) => `p_${n}`)), {
  selector: (product) => product.id,
  maxLength: 10,
});

test('a rule as filters of a listing finds what the rule takes in, and its counts ignore only their own field', () => {
  fc.assert(
    fc.property(products, stockArbitrary, ruleArbitrary, (all, left, rule) => {
      const shop = shopOf(all, new Map(Object.entries(left)));
      const asked = { sort: 'newest', offset: 0, limit: 50, count: ['brand'] };
      const found = list(shop.index, { ...filtersOf(rule, shop.index, shop.fields, NOW), ...asked });
      const expected = all.filter(({ id }) => rule.of.length === 0 || takesIn(rule, shop.facts(id)!, shop.fields, NOW));
      expect(found.slots.map((slot) => shop.index.id(slot)).sort()).toEqual(expected.map(({ id }) => id).sort());
      const asksBrand = rule.match === 'all' && rule.of.some((node) => 'field' in node && node.field === 'brand');
      if (asksBrand) return;
      const alula = shop.index.facets.valueId('brand', 'b_alula');
      const counted = alula === undefined ? 0 : found.counts.get('brand')![alula]!;
      expect(counted).toBe(expected.filter(({ brandId }) => brandId === 'b_alula').length);
    }),
    { numRuns: 160 },
  );
});

test('a turned condition takes in exactly what it kept out, and turned twice it is as before', () => {
  fc.assert(
    fc.property(products, nodeArbitrary, (all, node) => {
      const shop = shopOf(all);
      const set = (one: RuleNode) => membersOf({ match: 'all', of: [one] }, shop.index, shop.fields, NOW);
      const isSound = !('field' in node) || checkRule({ match: 'all', of: [node] }, shop.fields).length === 0;
      if (isSound) expect(set(turned(node)).toArray()).toEqual(shop.index.alive.clone().andNot(set(node)).toArray());
      expect(set(turned(turned(node))).toArray()).toEqual(set(node).toArray());
    }),
    { numRuns: 120 },
  );
});

test('values, spans and whole conditions are asked for and taken back, and leave nothing behind', () => {
  const kites = toggleValue(EMPTY_RULE, 'category', 'c_kites');
  const both = toggleValue(kites, 'category', 'c_line');
  expect(chosenValues(both, 'category').values).toEqual(['c_kites', 'c_line']);
  expect(toggleValue(toggleValue(both, 'category', 'c_line'), 'category', 'c_kites')).toEqual(EMPTY_RULE);
  const priced = setSpan(kites, 'price', { low: 100, high: Infinity });
  expect(priced.of[1]).toEqual({ field: 'price', is: 'atLeast', value: 100 });
  expect(chosenSpan(setSpan(priced, 'price', { low: -Infinity, high: 500 }), 'price')).toEqual({
    low: -Infinity,
    high: 500,
  });
  expect(setSpan(priced, 'price', undefined)).toEqual(kites);
  const node: RuleNode = { field: 'pictures', is: 'equals', value: 0 };
  expect(holdsNode(toggleNode(kites, node), node)).toBe(true);
  expect(toggleNode(toggleNode(kites, node), node)).toEqual(kites);
});

test('a colour, a size and a price are asked of one and the same variant, whichever came first', () => {
  const priced = setSpan(EMPTY_RULE, 'price', { low: -Infinity, high: 5_000 });
  const red = toggleValue(priced, 'option.colour', 'red');
  const large = toggleValue(red, 'option.size', 'l');
  expect(large.of).toEqual([
    {
      variants: 'some',
      match: 'all',
      of: [
        { field: 'price', is: 'atMost', value: 5_000 },
        { field: 'option.colour', is: 'anyOf', value: ['red'] },
        { field: 'option.size', is: 'anyOf', value: ['l'] },
      ],
    },
  ]);
  expect(chosenSpan(large, 'price')).toEqual({ low: -Infinity, high: 5_000 });
  expect(
    setSpan(toggleValue(toggleValue(large, 'option.size', 'l'), 'option.colour', 'red'), 'price', undefined),
  ).toEqual(EMPTY_RULE);
});

test('what is added joins a rule of any form, and is taken out by its place', () => {
  const either: Rule = { match: 'any', of: [{ field: 'onSale', is: 'yes', value: null }] };
  const joined = addNode(either, { field: 'stock', is: 'above', value: 0 });
  expect(joined).toEqual({ match: 'all', of: [either, { field: 'stock', is: 'above', value: 0 }] });
  expect(replaceAt(joined, [0, 0], undefined).of).toEqual([{ field: 'stock', is: 'above', value: 0 }]);
  expect(replaceAt(replaceAt(joined, [0, 0], undefined), [0], undefined)).toEqual(EMPTY_RULE);
});

test('conditions that are still being made ask for nothing', () => {
  const stock: RuleNode = { field: 'stock', is: 'above', value: 0 };
  const rule: Rule = {
    match: 'all',
    of: [
      { field: 'category', is: 'anyOf', value: [] },
      { match: 'any', of: [{ field: 'title', is: 'contains', value: '' }] },
      { variants: 'some', match: 'all', of: [] },
      { match: 'none', of: [stock, { field: 'tag', is: 'noneOf', value: [] }] },
      { field: 'onSale', is: 'no', value: null },
    ],
  };
  expect(withoutUnfinished(rule).of).toEqual([
    { match: 'none', of: [stock] },
    { field: 'onSale', is: 'no', value: null },
  ]);
  expect(withoutUnfinished({ match: 'any', of: [] })).toEqual(EMPTY_RULE);
});
