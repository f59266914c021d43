import fc from 'fast-check';
import { ruleArbitrary, stockArbitrary } from '../testing/rules';
import { NOW, productArbitrary, productOf, shopOf } from '../testing/shop';
import { contributionsOf } from './contributions';
import { explain } from './explain';
import { membersOf } from './members';
import { lacksOf } from './near-miss';
import { isCondition, isVariantGroup, type Rule, type RuleNode } from '../model/rule';

const products = fc.uniqueArray(productArbitrary(fc.integer({ min: 0, max: 30 }).map((n) => `p_${n}`)), {
  selector: (product) => product.id,
  maxLength: 8,
});
const worlds = [products, stockArbitrary, ruleArbitrary] as const;
const idsOf = (shop: ReturnType<typeof shopOf>, set: { toArray(): number[] }) =>
  set
    .toArray()
    .map((slot) => shop.index.id(slot))
    .sort();

test('near misses are those for which exactly one condition would have to turn, by looking at each product', () => {
  fc.assert(
    fc.property(...worlds, (all, left, rule) => {
      const shop = shopOf(all, new Map(Object.entries(left)));
      const { listed, index, fields } = shop;
      const { members, nearMisses } = contributionsOf(rule, index, fields, NOW, listed);
      const missing = (id: string) => explain(rule, shop.facts(id)!, fields, NOW, 'EUR').missing;
      const listedIds = idsOf(shop, listed);
      expect(idsOf(shop, members)).toEqual(listedIds.filter((id) => missing(id) === 0));
      expect(idsOf(shop, nearMisses)).toEqual(listedIds.filter((id) => missing(id) === 1));
    }),
    { numRuns: 160 },
  );
});

test('a product lacks something exactly when it is a near miss, and what it lacks is what would have to turn', () => {
  fc.assert(
    fc.property(...worlds, (all, left, rule) => {
      const shop = shopOf(all, new Map(Object.entries(left)));
      for (const { id } of all) {
        const facts = shop.facts(id)!;
        const { missing } = explain(rule, facts, shop.fields, NOW, 'EUR');
        const lacks = lacksOf(rule, facts, shop.fields, NOW, 'EUR');
        expect([id, lacks.length > 0]).toEqual([id, missing === 1]);
      }
    }),
    { numRuns: 120 },
  );
});

test('a condition that stands in a rule twice counts twice', () => {
  const shop = shopOf([productOf('p_1', { title: 'Wren' })], new Map());
  const facts = shop.facts('p_1')!;
  const asked = { field: 'title', is: 'contains', value: 'tern' } as const;
  const lacksUnder = (match: 'all' | 'any') => lacksOf({ match, of: [asked, asked] }, facts, shop.fields, NOW, 'EUR');
  expect(lacksUnder('all')).toEqual([]);
  expect(lacksUnder('any').map(({ path }) => path)).toEqual([[0], [1]]);
});

/** The rule without the node at a place; groups keep their other parts. */
function without(rule: Rule, path: readonly number[]): Rule {
  const cut = (node: RuleNode, depth: number): RuleNode => {
    const of = (node as Rule).of as RuleNode[];
    const at = path[depth]!;
    const next =
      depth === path.length - 1
        ? of.filter((_, i) => i !== at)
        : of.map((child, i) => (i === at ? cut(child, depth + 1) : child));
    return { ...(node as Rule), of: next };
  };
  return cut(rule, 0) as Rule;
}

const leavesOf = (node: RuleNode): number =>
  isCondition(node) ? 1 : isVariantGroup(node) ? 1 : node.of.reduce((sum, child) => sum + leavesOf(child), 0);

test('what a condition alone does is the difference to the rule without it', () => {
  fc.assert(
    fc.property(...worlds, (all, left, rule) => {
      const shop = shopOf(all, new Map(Object.entries(left)));
      const { listed, index, fields } = shop;
      const { members, parts } = contributionsOf(rule, index, fields, NOW, listed);
      for (const { path, alone } of parts) {
        const rest = without(rule, path);
        const parent = path.slice(0, -1).reduce<RuleNode>((node, i) => (node as Rule).of[i]!, rest) as Rule;
        // A group that is left without any condition takes in nothing, which is more than leaving one away.
        if (parent.of.length === 0) continue;
        const count = membersOf(rest, index, fields, NOW).and(listed).count();
        expect([path, members.count() + alone]).toEqual([path, count]);
      }
      expect(parts.length).toBeGreaterThanOrEqual(leavesOf(rule));
    }),
    { numRuns: 160 },
  );
});

const priced = { field: 'price', is: 'below', value: 1_500 } as const;
const night = { field: 'tag', is: 'anyOf', value: ['t_night'] } as const;

test('products that pass so far are counted from the top down', () => {
  const shop = shopOf([
    productOf('p_1', { tagIds: ['t_night'] }),
    productOf('p_2'),
    productOf('p_3', { status: 'draft', tagIds: ['t_night'] }),
  ]);
  const rule: Rule = { match: 'all', of: [priced, { ...night, value: [...night.value] }] };
  const { parts } = contributionsOf(rule, shop.index, shop.fields, NOW, shop.listed);
  expect(parts).toEqual([
    { path: [0], soFar: 2, alone: 0 },
    { path: [1], soFar: 1, alone: 1 },
  ]);
});

test('what is lacked is told by what the product has', () => {
  const shop = shopOf([productOf('p_1', { tagIds: ['t_night'] })], new Map([['p_1v', 0]]));
  const lacks = (rule: Rule) => lacksOf(rule, shop.facts('p_1')!, shop.fields, NOW, 'EUR').map(({ words }) => words);
  expect(lacks({ match: 'all', of: [priced, { field: 'stock', is: 'above', value: 0 }] })).toEqual([
    'needs stock above 0 (it is 0)',
  ]);
  expect(lacks({ match: 'none', of: [{ ...night, value: [...night.value] }] })).toEqual(['must not have tag Night']);
  expect(lacks({ match: 'all', of: [{ field: 'brand', is: 'anyOf', value: ['b_tern'] }] })).toEqual([
    'needs brand Tern (it has none)',
  ]);
  expect(lacks({ match: 'all', of: [{ field: 'featured', is: 'yes', value: null }] })).toEqual([
    'needs to be featured',
  ]);
});
