import fc from 'fast-check';
import type { ProductDocument, ShopDocument } from '../model/document';
import { collectionOf, groupDocuments, NOW, productArbitrary, productOf, shopOf, put } from '../testing/shop';
import { STATUS } from './facts';
import type { Brand, Category } from '../model/group';
import { ResolvedShop } from './resolved-shop';
import type { DocumentUpdate } from './shop-inputs';

const ids = Array.from({ length: 8 }, (_, i) => `p${i}`);
const products = fc.uniqueArray(productArbitrary(fc.constantFrom(...ids)), { selector: ({ id }) => id, maxLength: 8 });

const document = (body: ProductDocument): ShopDocument => ({ kind: 'product', key: body.id, body });

/** What is known of each product, and what the index tells of all: facets with their products, orders, words. */
function tell(shop: ResolvedShop) {
  const { index } = shop;
  const names = (slots: readonly number[]) => slots.map((slot) => index.id(slot));
  const facets = index.facets.values.map(({ facet, value, products: of, variants }, id) => [
    `${facet} ${value}`,
    names(of.toArray()).sort(),
    index.facets.totals[id],
    variants
      ?.toArray()
      .map((at) => index.variants.id(at))
      .sort() ?? [],
  ]);
  const found = ['harrier', 'wren', 'box', 'alula', 'night', 'kite'].map((words) =>
    names(index.text.search(words, index.alive.size, index.scratch)?.hits.toArray() ?? []).sort(),
  );
  return {
    facts: [...shop.products.keys()].sort().map((id) => shop.facts(id)),
    facets: facets.filter(([, of]) => (of as string[]).length > 0).sort(),
    orders: index.shape.sorts.map(({ key }) => names(index.orderedSlots(index.alive, key))),
    found,
  };
}

test('a shop that takes over what was worked out before is as one worked out afresh, however much time passed', () => {
  fc.assert(
    fc.property(products, products, fc.integer({ min: 0, max: 110 }), (before, changed, seconds) => {
      const { sales } = shopOf([]).inputs;
      const shopAt = (now: number) => new ResolvedShop({ stock: () => 3, sales, now });
      const was = shopAt(NOW);
      was.load([...groupDocuments, ...before.map(document)]);
      // Some stay the very same, some are others under the same id, some are new, one is gone.
      const next = [...before.slice(1).filter(({ id }) => !changed.some((each) => each.id === id)), ...changed];
      const documents = [...groupDocuments, ...next.map(document)];
      const [afresh, taken] = [shopAt(NOW + seconds), shopAt(NOW + seconds)];
      afresh.load(documents);
      const holds = (id: string) => next.find((each) => each.id === id) === before.find((each) => each.id === id);
      taken.load(documents, { index: structuredClone(was.index.state()), now: NOW, holds });
      expect(tell(taken)).toEqual(tell(afresh));
      taken.take({ now: NOW + seconds + 60 });
      afresh.take({ now: NOW + seconds + 60 });
      expect(tell(taken)).toEqual(tell(afresh));
    }),
  );
});

test('what is known to hold is not worked out again until somebody asks', () => {
  const old = shopOf([productOf('p1'), productOf('p2')]);
  const asked: string[] = [];
  const shop = new ResolvedShop({
    stock: () => null,
    marks: ({ id }) => {
      asked.push(id);
      return [];
    },
    now: NOW,
  });
  const documents = [...groupDocuments, ...[...old.products.values()].map(document)];
  shop.load(documents, { index: old.index.state(), now: NOW, holds: (id) => id === 'p1' });
  expect(asked).toEqual(['p2']);
  shop.facts('p1');
  shop.facts('p1');
  expect(asked).toEqual(['p2', 'p1']);
});

test('marks that turned show in the index, the facts and in rules that ask for them', () => {
  const marked = new Set<string>();
  const shop = new ResolvedShop({ stock: () => 1, marks: ({ id }) => (marked.has(id) ? ['changed'] : []), now: NOW });
  const rule = { match: 'all' as const, of: [{ field: 'status', is: 'anyOf' as const, value: ['changed'] }] };
  shop.load([...groupDocuments, ...['p1', 'p2'].map((id) => document(productOf(id)))]);
  put(shop, 'collection', 'k1', collectionOf('k1', { source: 'rule', rule }));
  const members = () =>
    shop.memberships
      .of('k1', NOW)
      .toArray()
      .map((slot) => shop.index.id(slot));
  expect(members()).toEqual([]);
  marked.add('p2');
  shop.take({ marked: ['p2', 'gone'] });
  expect(members()).toEqual(['p2']);
  expect(
    shop.index
      .posting(STATUS, 'changed')!
      .toArray()
      .map((slot) => shop.index.id(slot)),
  ).toEqual(['p2']);
  expect(shop.facts('p2')!.status).toContain('changed');
  marked.clear();
  shop.take({ marked: ['p2'] });
  expect(members()).toEqual([]);
});

test('an address that passed to another thing stays with it when the first one goes', () => {
  const shop = shopOf([productOf('p1', { slug: 'kite' })]);
  put(shop, 'product', 'p1', productOf('p1', { slug: 'old-kite' }));
  expect(shop.bySlug('product', 'kite')).toBeUndefined();
  put(shop, 'product', 'p2', productOf('p2', { slug: 'old-kite' }));
  put(shop, 'product', 'p1', undefined);
  expect(shop.bySlug('product', 'old-kite')).toBe('p2');
});

const groupChanges = fc.shuffledSubarray([
  { kind: 'category', key: 'c_deltas', body: undefined },
  {
    kind: 'category',
    key: 'c_new',
    body: { ...(groupDocuments[0]!.body as Category), id: 'c_new', slug: 'new', parentId: null },
  },
  { kind: 'category', key: 'c_kites', body: { ...(groupDocuments[0]!.body as Category), parentId: 'c_new' } },
  { kind: 'brand', key: 'b_tern', body: { ...(groupDocuments[5]!.body as Brand), name: 'Skua' } },
  { kind: 'tag', key: 't_night', body: undefined },
] satisfies DocumentUpdate[]);

test('in which order documents come makes no difference: a shop that changed is as one made from what it holds', () => {
  fc.assert(
    fc.property(products, products, groupChanges, fc.boolean(), (before, changed, groups, productsFirst) => {
      const shop = shopOf(before);
      const updates: DocumentUpdate[] = changed.map((body) => ({ kind: 'product', key: body.id, body }));
      shop.take({ documents: productsFirst ? [...updates, ...groups] : [...groups, ...updates] });
      const bodies = new Map(groupDocuments.map((each) => [each.key, each]));
      for (const { key, kind, body } of groups) {
        if (body) bodies.set(key, { kind, key, body } as ShopDocument);
        else bodies.delete(key);
      }
      const after = new Map([...before, ...changed].map((each) => [each.id, each]));
      const afresh = shopOf([]);
      afresh.load([
        ...[
          ...bodies.values(),
          ...groupDocuments
            .filter(({ key }) => !bodies.has(key))
            .map((each) => ({ ...each, body: undefined as never })),
        ],
        ...[...after.values()].map(document),
      ]);
      expect(tell(shop)).toEqual(tell(afresh));
    }),
  );
});

test('a clock that was ahead and is put right leaves the shop as if it had never been', () => {
  fc.assert(
    fc.property(
      products,
      fc.integer({ min: 1, max: 200 }),
      fc.integer({ min: -100, max: 100 }),
      (all, ahead, right) => {
        const rule = { match: 'all' as const, of: [{ field: 'created', is: 'inLast' as const, value: 30 }] };
        const collection = collectionOf('k1', { source: 'rule', rule });
        const [shop, afresh] = [NOW, NOW + right].map((now) => {
          const made = shopOf(all, undefined, now);
          put(made, 'collection', 'k1', collection);
          return made;
        }) as [ResolvedShop, ResolvedShop];
        shop.memberships.of('k1', shop.now);
        shop.take({ now: NOW + ahead * 86_400 });
        shop.memberships.of('k1', shop.now);
        shop.take({ now: NOW + right });
        expect(tell(shop)).toEqual(tell(afresh));
        expect(membersIn(shop, 'k1')).toEqual(membersIn(afresh, 'k1'));
      },
    ),
  );
});

const membersIn = (shop: ResolvedShop, id: string) =>
  shop.memberships
    .of(id, shop.now)
    .toArray()
    .map((slot) => shop.index.id(slot))
    .sort();

test('collections that ask for each other are all empty, whichever is asked first', () => {
  const asking = (id: string, other: string) =>
    collectionOf(id, {
      source: 'rule',
      rule: { match: 'none', of: [{ field: 'collection', is: 'anyOf', value: [other] }] },
    });
  for (const order of [
    ['k1', 'k2', 'k3'],
    ['k3', 'k2', 'k1'],
  ]) {
    const shop = shopOf([productOf('p1')]);
    put(shop, 'collection', 'k1', asking('k1', 'k2'));
    put(shop, 'collection', 'k2', asking('k2', 'k1'));
    put(shop, 'collection', 'k3', asking('k3', 'k1'));
    const found = Object.fromEntries(order.map((id) => [id, membersIn(shop, id)]));
    expect(found).toEqual({ k1: [], k2: [], k3: ['p1'] });
    // The circle ends with the rule that made it one.
    put(shop, 'collection', 'k2', collectionOf('k2', { source: 'picked', picked: [] }));
    expect([membersIn(shop, 'k1'), membersIn(shop, 'k3')]).toEqual([['p1'], []]);
  }
});
