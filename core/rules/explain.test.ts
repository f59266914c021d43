import fc from 'fast-check';
import { NOW, productArbitrary, productOf, shopOf } from '../testing/shop';
import { explain } from './explain';
import { takesIn } from './predicate';
import { conditionsOf, isCondition, type Condition, type Rule } from '../model/rule';

const below: Condition = { field: 'price', is: 'below', value: 500 };
const night: Condition = { field: 'tag', is: 'anyOf', value: ['t_night'] };
const tern: Condition = { field: 'brand', is: 'anyOf', value: ['b_tern'] };

const why = (rule: Rule, over: Parameters<typeof productOf>[1] = {}) => {
  const shop = shopOf([productOf('p_1', over)]);
  return explain(rule, shop.facts('p_1')!, shop.fields, NOW, 'EUR');
};

test('each condition is told with what the product has', () => {
  const { isIn, missing, reasons } = why({ match: 'all', of: [below, night] }, { tagIds: ['t_night'] });
  expect({ isIn, missing }).toEqual({ isIn: false, missing: 1 });
  expect(reasons).toEqual([
    { path: [0], words: 'price is below €5.00', holds: false, actual: '€10.00', isTurned: false },
    { path: [1], words: 'tag is Night', holds: true, actual: 'Night', isTurned: false },
  ]);
});

test('what must not hold is told as such, and counts when it does', () => {
  const { missing, reasons } = why({ match: 'none', of: [night, tern] }, { tagIds: ['t_night'], brandId: 'b_tern' });
  expect(missing).toBe(2);
  expect(reasons.map(({ isTurned }) => isTurned)).toEqual([true, true]);
});

test('of alternatives the nearest counts, and an empty rule can never be met', () => {
  const all: Rule = { match: 'all', of: [below, night] };
  expect(why({ match: 'any', of: [all, tern] }).missing).toBe(1);
  expect(why({ match: 'all', of: [] }).missing).toBe(Infinity);
});

const condition = fc.constantFrom(below, night, tern);
const rule = fc.letrec<{ node: Condition | Rule; group: Rule }>((tie) => ({
  node: fc.oneof({ depthSize: 'small' }, condition, tie('group')),
  group: fc.record({
    match: fc.constantFrom('all' as const, 'any' as const, 'none' as const),
    of: fc.array(tie('node'), { maxLength: 3 }),
  }),
})).group;

test('explanation agrees with membership: nothing is missing exactly when the product is in', () => {
  fc.assert(
    fc.property(productArbitrary(fc.constant('p_1')), rule, (product, asked) => {
      const shop = shopOf([product]);
      const facts = shop.facts('p_1')!;
      const { isIn, missing, reasons } = explain(asked, facts, shop.fields, NOW, 'EUR');
      expect(isIn).toBe(takesIn(asked, facts, shop.fields, NOW));
      expect(missing === 0).toBe(isIn);
      expect(reasons).toHaveLength(conditionsOf(asked).length);
    }),
  );
});

/** The rule with the condition at each of these places turned round. */
function turned(asked: Rule, places: ReadonlySet<string>): Rule {
  const walk = (node: Condition | Rule, path: string): Condition | Rule => {
    if (!isCondition(node)) return { ...node, of: node.of.map((child, i) => walk(child as Rule, `${path}.${i}`)) };
    return places.has(path) ? { match: 'none', of: [node] } : node;
  };
  return walk(asked, '') as Rule;
}

test('missing is the fewest conditions that would have to turn, by trying them all', () => {
  fc.assert(
    fc.property(productArbitrary(fc.constant('p_1')), rule, (product, asked) => {
      const places = conditionsOf(asked).map(({ path }) => `.${path.join('.')}`);
      fc.pre(places.length <= 6);
      const shop = shopOf([product]);
      const facts = shop.facts('p_1')!;
      let least = Infinity;
      for (let mask = 0; mask < 1 << places.length; mask++) {
        const some = places.filter((_, i) => (mask & (1 << i)) !== 0);
        if (some.length < least && takesIn(turned(asked, new Set(some)), facts, shop.fields, NOW)) least = some.length;
      }
      expect(explain(asked, facts, shop.fields, NOW, 'EUR').missing).toBe(least);
    }),
  );
});
