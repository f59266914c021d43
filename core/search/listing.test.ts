import fc from 'fast-check';
import { finderShape } from '../shop/facts';
import { brands, colours, entryArbitrary, queryText, sizes, tags } from '../testing/arbitrary';
import { referenceListing } from '../testing/reference-listing';
import type { FinderEntry } from './entry';
import { FinderIndex } from './finder-index';
import { list } from './listing';
import type { ListingQuery } from './listing-query';

const ids = Array.from({ length: 12 }, (_, i) => `p${i}`);
const entries = fc.uniqueArray(entryArbitrary(fc.constantFrom(...ids)), {
  selector: (entry) => entry.id,
  maxLength: 12,
});

const choice = (facet: string, values: string[], onVariant: boolean) =>
  fc.record({
    facet: fc.constant(facet),
    onVariant: fc.constant(onVariant),
    values: fc.uniqueArray(fc.constantFrom(...values), { minLength: 1, maxLength: 2 }),
  });

const wind = { name: 'wind', low: 'wind.from', high: 'wind.upTo' };

const query = fc.record({
  text: queryText,
  choices: fc
    .tuple(
      fc.option(choice('brand', brands, false)),
      fc.option(choice('tag', tags, false)),
      fc.option(choice('colour', colours, true)),
      fc.option(choice('size', sizes, true)),
      fc.option(choice('available', ['in'], true)),
    )
    .map((all) => all.filter((each) => each !== null)),
  ranges: fc.oneof(
    fc.constant([]),
    fc
      .tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 0, max: 3 }))
      .map(([min, more]) => [{ column: 'price', min, max: min + more }]),
  ),
  sort: fc.constantFrom('newest', 'price-up', 'price-down', 'title', 'match'),
  tieOrder: fc.constant('newest'),
  offset: fc.integer({ min: 0, max: 4 }),
  limit: fc.integer({ min: 0, max: 6 }),
  count: fc.constant(['brand', 'tag', 'colour', 'size', 'available']),
  extent: fc.constant(['price']),
  spans: fc.oneof(
    fc.constant([]),
    fc
      .tuple(fc.constantFrom(-Infinity, 0, 1, 3), fc.constantFrom(0, 2, Infinity))
      .map(([from, more]) => [{ ...wind, min: from, max: Math.max(from, 0) + more }]),
  ),
  spanExtents: fc.constant([wind]),
  lastBrand: fc.constantFrom(null, ...brands),
});

type Asked = ListingQuery & { text: string; sort: string; lastBrand?: string | null };

function answer(index: FinderIndex, asked: Asked) {
  const sort = asked.sort === 'match' && asked.text === '' ? 'newest' : asked.sort;
  const last = !asked.lastBrand ? undefined : index.posting('brand', asked.lastBrand);
  const result = list(index, { ...asked, sort, last });
  const counts = new Map(
    [...result.counts].map(([facet, of]) => [
      facet,
      new Map(
        [...(index.facet(facet)?.values ?? [])].flatMap(([value, id]) => (of[id] ? [[value, of[id]] as const] : [])),
      ),
    ]),
  );
  return { total: result.total, ids: result.slots.map((slot) => index.id(slot)), counts, extents: result.extents };
}

const expected = (all: readonly FinderEntry[], asked: Asked) =>
  referenceListing(
    all,
    { ...asked, sort: asked.sort === 'match' && asked.text === '' ? 'newest' : asked.sort },
    finderShape.sorts,
  );

const built = (all: readonly FinderEntry[]) => {
  const index = new FinderIndex(finderShape);
  index.load(all);
  return index;
};

test('totals, order, counts and extents equal those of plain loops', () => {
  fc.assert(
    fc.property(entries, query, (all, asked) => {
      expect(answer(built(all), asked)).toEqual(expected(all, asked));
    }),
    { numRuns: 160 },
  );
});

test('an index changed product by product answers like one built afresh', () => {
  const edit = fc.oneof(
    { weight: 3, arbitrary: entryArbitrary(fc.constantFrom(...ids)).map((entry) => ({ put: entry })) },
    { weight: 1, arbitrary: fc.constantFrom(...ids).map((id) => ({ remove: id })) },
    { weight: 2, arbitrary: fc.record({ tagged: fc.constantFrom(...ids), with: fc.subarray(tags) }) },
  );
  fc.assert(
    fc.property(entries, fc.array(edit, { maxLength: 25 }), query, (start, edits, asked) => {
      const index = built(start);
      const all = new Map(start.map((entry) => [entry.id, entry]));
      for (const each of edits) {
        if ('put' in each) {
          index.put(each.put);
          all.set(each.put.id, each.put);
        } else if ('tagged' in each) {
          index.replaceValues(each.tagged, 'tag', each.with);
          const entry = all.get(each.tagged);
          const others = entry?.values.filter(([facet]) => facet !== 'tag') ?? [];
          const values = [...others, ...each.with.map((tag) => ['tag', tag] as const)];
          if (entry) all.set(entry.id, { ...entry, values });
        } else {
          index.remove(each.remove);
          all.delete(each.remove);
        }
      }
      expect(answer(index, asked)).toEqual(expected([...all.values()], asked));
      expect(index.size).toBe(all.size);
    }),
    { numRuns: 120 },
  );
});

test.each([
  ['a copy', (index: FinderIndex) => index.copy()],
  [
    'an index made again from its state, written and read',
    (index: FinderIndex) => FinderIndex.of(index.shape, structuredClone(index.state())),
  ],
])('%s answers alike, and neither feels what happens to the other', (_, again) => {
  const edits = fc.array(entryArbitrary(fc.constantFrom(...ids)), { maxLength: 8 });
  fc.assert(
    fc.property(entries, edits, edits, fc.subarray(ids), query, (start, earlier, later, gone, asked) => {
      const index = built(start);
      const before = new Map(start.map((entry) => [entry.id, entry]));
      // Changed already, so that there are gaps.
      for (const id of gone.slice(1)) {
        index.remove(id);
        before.delete(id);
      }
      for (const entry of earlier) {
        index.put(entry);
        before.set(entry.id, entry);
      }
      const copy = again(index);
      const after = new Map(before);
      expect(answer(copy, asked)).toEqual(expected([...before.values()], asked));
      for (const entry of later) {
        copy.put(entry);
        after.set(entry.id, entry);
      }
      for (const id of gone) {
        copy.remove(id);
        after.delete(id);
      }
      expect(answer(copy, asked)).toEqual(expected([...after.values()], asked));
      expect(copy.size).toBe(after.size);
      expect(answer(index, asked)).toEqual(expected([...before.values()], asked));
    }),
    { numRuns: 80 },
  );
});

test('taking everything out leaves no posting, total or word behind', () => {
  fc.assert(
    fc.property(entries, (all) => {
      const index = built(all);
      for (const entry of all) index.remove(entry.id);
      expect(index.alive.count() + index.variants.alive.count() + index.text.wordCount).toBe(0);
      expect(index.facets.totals.every((total) => total === 0)).toBe(true);
      expect(index.facets.values.every((value) => value.products.count() === 0 && !value.variants?.count())).toBe(true);
    }),
  );
});

test('filters on variants must hold on one variant: a red small and a blue large one are not a red large one', () => {
  const entry: FinderEntry = {
    id: 'p',
    title: 'kite',
    numbers: { price: 1, priceMax: 1, stock: 2, created: 0, featured: 0 },
    values: [],
    texts: [],
    variants: [
      {
        id: 'a',
        numbers: { price: 1, stock: 1 },
        values: [
          ['colour', 'red'],
          ['size', 's'],
        ],
      },
      {
        id: 'b',
        numbers: { price: 1, stock: 1 },
        values: [
          ['colour', 'blue'],
          ['size', 'l'],
        ],
      },
    ],
  };
  const ask = (size: string) =>
    list(built([entry]), {
      choices: [
        { facet: 'colour', values: ['red'], onVariant: true },
        { facet: 'size', values: [size], onVariant: true },
      ],
      sort: 'newest',
      offset: 0,
      limit: 1,
    }).total;
  expect(ask('s')).toBe(1);
  expect(ask('l')).toBe(0);
});

test('hundreds of products pushed through the same slots stay in order', () => {
  fc.assert(
    fc.property(
      fc.array(entryArbitrary(fc.integer({ min: 0, max: 200 }).map((n) => `q${n}`)), { maxLength: 300 }),
      (puts) => {
        const index = new FinderIndex(finderShape);
        const all = new Map<string, FinderEntry>();
        for (const entry of puts) {
          index.put(entry);
          all.set(entry.id, entry);
        }
        const asked = { text: '', choices: [], ranges: [], sort: 'price-up', offset: 0, limit: 500, count: ['colour'] };
        const { ids: order, counts } = answer(index, asked);
        const plain = expected([...all.values()], asked);
        expect(order).toEqual(plain.ids);
        expect(counts).toEqual(plain.counts);
      },
    ),
    { numRuns: 20 },
  );
});
