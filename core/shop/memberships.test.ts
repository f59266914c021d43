import fc from 'fast-check';
import type { Rule } from '../model/rule';
import { stockArbitrary } from '../testing/rules';
import { collectionOf, NOW, productArbitrary, productOf, shopOf, put } from '../testing/shop';
import { circularProblems } from '../rules/collections';
import { isOpen } from './open-groups';
import { overlapOf } from './overlap';

const DAY = 86_400;
const lately: Rule = { match: 'all', of: [{ field: 'created', is: 'inLast', value: 30 }] };
const asks = (...ids: string[]): Rule => ({ match: 'all', of: [{ field: 'collection', is: 'anyOf', value: ids }] });

function names(shop: ReturnType<typeof shopOf>, id: string): string[] {
  return shop.memberships
    .of(id, shop.now)
    .toArray()
    .map((slot) => shop.index.id(slot))
    .sort();
}

test('a product leaves "added in the last 30 days" at that very second, and a collection that asks for it follows', () => {
  const created = NOW - 30 * DAY + 10;
  const shop = shopOf([productOf('p_1', { created: new Date(created * 1000).toISOString() })]);
  put(shop, 'collection', 'k_1', collectionOf('k_1', { rule: lately }));
  put(shop, 'collection', 'k_2', collectionOf('k_2', { rule: { match: 'none', of: asks('k_1').of } }));
  const version = shop.version;
  expect([names(shop, 'k_1'), names(shop, 'k_2')]).toEqual([['p_1'], []]);
  shop.take({ now: NOW + 10 });
  expect([names(shop, 'k_1'), names(shop, 'k_2'), shop.version]).toEqual([['p_1'], [], version]);
  shop.take({ now: NOW + 11 });
  expect([names(shop, 'k_1'), names(shop, 'k_2')]).toEqual([[], ['p_1']]);
  expect(shop.version).toBeGreaterThan(version);
});

test('what is left out is no member though the rule takes it in, in kept and in fresh memberships', () => {
  const rule: Rule = { match: 'all', of: [{ field: 'price', is: 'above', value: 0 }] };
  const shop = shopOf([productOf('p_1'), productOf('p_2')]);
  put(shop, 'collection', 'k_1', collectionOf('k_1', { rule, leftOut: ['p_2'] }));
  expect(names(shop, 'k_1')).toEqual(['p_1']);
  put(shop, 'product', 'p_2', productOf('p_2', { featured: true }));
  put(shop, 'product', 'p_3', productOf('p_3'));
  expect(names(shop, 'k_1')).toEqual(['p_1', 'p_3']);
});

const edits = fc.array(
  fc.oneof(
    productArbitrary(fc.integer({ min: 0, max: 8 }).map((n) => `p_${n}`)).map((put) => ({ put })),
    fc.integer({ min: 1, max: 3 * DAY }).map((seconds) => ({ seconds })),
    fc
      .record({
        id: fc.constantFrom('k_1', 'k_2', 'k_3'),
        asksFor: fc.constantFrom('k_1', 'k_2', 'k_3'),
        turned: fc.boolean(),
        days: fc.integer({ min: 0, max: 60 }),
      })
      .map((rule) => ({ rule })),
  ),
  { maxLength: 12 },
);

test('collections that ask for each other stay true while products, rules and the clock change', () => {
  fc.assert(
    fc.property(stockArbitrary, edits, (left, changes) => {
      const stock = new Map(Object.entries(left));
      const shop = shopOf([], stock);
      const products = new Map<string, ReturnType<typeof productOf>>();
      const collections = new Map<string, ReturnType<typeof collectionOf>>();
      const ids = ['k_1', 'k_2', 'k_3'];
      for (const change of changes) {
        if ('put' in change) {
          products.set(change.put.id, change.put);
          put(shop, 'product', change.put.id, change.put);
        } else if ('seconds' in change) shop.take({ now: shop.now + change.seconds });
        else {
          const { id, asksFor, turned, days } = change.rule;
          const rule: Rule = {
            match: turned ? 'none' : 'any',
            of: [
              ...(asksFor < id ? asks(asksFor).of : []),
              { field: 'created', is: 'inLast', value: days },
              { field: 'sold30', is: 'above', value: days },
            ],
          };
          collections.set(id, collectionOf(id, { rule }));
          put(shop, 'collection', id, collections.get(id));
        }
        for (const id of ids) shop.memberships.of(id, shop.now);
      }
      const fresh = shopOf([...products.values()], stock, shop.now);
      for (const [id, collection] of collections) put(fresh, 'collection', id, collection);
      for (const id of ids) expect([id, names(shop, id)]).toEqual([id, names(fresh, id)]);
    }),
    { numRuns: 80 },
  );
});

test('a rule that would lead back to its own collection is refused, however long the way', () => {
  const collections = new Map(
    [
      collectionOf('k_1', { rule: asks('k_2') }),
      collectionOf('k_2', { rule: asks('k_3') }),
      collectionOf('k_3', {}),
    ].map((each) => [each.id, each]),
  );
  const messages = (id: string, rule: Rule) => circularProblems(id, rule, collections).map(({ message }) => message);
  expect(messages('k_3', asks('k_3'))).toEqual(['A collection cannot be filled from itself.']);
  expect(messages('k_3', asks('k_1'))).toEqual([
    '“k_1” is filled from this collection, so this one cannot be filled from it.',
  ]);
  expect(messages('k_1', asks('k_3'))).toEqual([]);
  expect(messages('k_1', { match: 'all', of: [{ field: 'collection', is: 'empty', value: null }] })).toHaveLength(1);
});

test('rules that lead back to each other, as after an undo, end all the same', () => {
  const shop = shopOf([productOf('p_1')]);
  put(shop, 'collection', 'k_1', collectionOf('k_1', { rule: asks('k_2') }));
  put(shop, 'collection', 'k_2', collectionOf('k_2', { rule: { match: 'none', of: asks('k_1').of } }));
  expect(() => [names(shop, 'k_1'), names(shop, 'k_2')]).not.toThrow();
  expect(() => put(shop, 'product', 'p_1', productOf('p_1', { featured: true }))).not.toThrow();
});

test('what collections share is what a walk over the products counts', () => {
  const products = fc.uniqueArray(productArbitrary(fc.integer({ min: 0, max: 20 }).map((n) => `p_${n}`)), {
    selector: ({ id }) => id,
  });
  fc.assert(
    fc.property(products, (all) => {
      const shop = shopOf(all);
      const tag = (value: string): Rule => ({ match: 'all', of: [{ field: 'tag', is: 'anyOf', value: [value] }] });
      put(shop, 'collection', 'k_1', collectionOf('k_1', { rule: tag('t_night') }));
      put(shop, 'collection', 'k_2', collectionOf('k_2', { rule: tag('t_indoor') }));
      const { counts, pairs, spread } = overlapOf(shop, NOW);
      const [a, b] = [new Set(names(shop, 'k_1')), new Set(names(shop, 'k_2'))];
      const both = [...a].filter((id) => b.has(id)).length;
      expect(pairs).toEqual(both ? [{ a: 'k_1', b: 'k_2', shared: both }] : []);
      expect([counts.get('k_1'), counts.get('k_2')]).toEqual([a.size, b.size]);
      expect(spread.reduce((sum, count) => sum + count, 0)).toBe(shop.listed.count());
      expect(spread[0]).toBe(shop.listed.count() - new Set([...a, ...b]).size);
    }),
  );
});

test('a collection opens and closes by its days, and a category with those above it', () => {
  const shop = shopOf([]);
  const at = (seconds: number) => new Date((NOW + seconds) * 1000).toISOString();
  put(shop, 'collection', 'k_1', collectionOf('k_1', { liveFrom: at(10), liveUntil: at(20) }));
  const open = () => isOpen(shop, { kind: 'collection', id: 'k_1' });
  const seen = [open()];
  for (const seconds of [10, 20]) {
    const { version } = shop;
    shop.take({ now: NOW + seconds });
    expect(shop.version).toBeGreaterThan(version);
    seen.push(open());
  }
  expect(seen).toEqual([false, true, false]);
  const isListed = () => isOpen(shop, { kind: 'category', id: 'c_deltas' });
  expect(isListed()).toBe(true);
  put(shop, 'category', 'c_kites', { ...shop.categories.get('c_kites')!, status: 'off' });
  expect(isListed()).toBe(false);
});
