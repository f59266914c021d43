import fc from 'fast-check';
import type { ProductDocument, ShopDocument } from '../editions/document';
import { collectionOf, groupDocuments, NOW, productArbitrary, productOf, shopOf } from '../testing/shop';
import { STANDING } from './facts';
import { ResolvedShop } from './resolved-shop';

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
      taken.passTime(NOW + seconds + 60);
      afresh.passTime(NOW + seconds + 60);
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
  const rule = { match: 'all' as const, of: [{ field: 'standing', is: 'anyOf' as const, value: ['changed'] }] };
  shop.load([...groupDocuments, ...['p1', 'p2'].map((id) => document(productOf(id)))]);
  shop.apply('collection', 'k1', collectionOf('k1', { source: 'rule', rule }));
  const members = () =>
    shop.memberships
      .of('k1', NOW)
      .toArray()
      .map((slot) => shop.index.id(slot));
  expect(members()).toEqual([]);
  marked.add('p2');
  shop.remark(['p2', 'gone']);
  expect(members()).toEqual(['p2']);
  expect(
    shop.index
      .posting(STANDING, 'changed')!
      .toArray()
      .map((slot) => shop.index.id(slot)),
  ).toEqual(['p2']);
  expect(shop.facts('p2')!.standing).toContain('changed');
  marked.clear();
  shop.remark(['p2']);
  expect(members()).toEqual([]);
});

test('an address that passed to another thing stays with it when the first one goes', () => {
  const shop = shopOf([productOf('p1', { slug: 'kite' })]);
  shop.apply('product', 'p1', productOf('p1', { slug: 'old-kite' }));
  expect(shop.bySlug('product', 'kite')).toBeUndefined();
  shop.apply('product', 'p2', productOf('p2', { slug: 'old-kite' }));
  shop.apply('product', 'p1', undefined);
  expect(shop.bySlug('product', 'old-kite')).toBe('p2');
});
