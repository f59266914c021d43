import fc from 'fast-check';
import {
  layoutAt,
  layoutWords,
  usualListings,
  type LayoutField,
  type Listings,
  type ShopperSort,
} from './listing-layout';
import { productLayoutOf, productPageSchema, usualProductPage, wholeParts, type ProductPage } from './product-layout';
import { partKeys, usualProductLayout } from './product-parts';

const at = { kind: 'category', id: 'c_kites1' } as const;
const own = fc.record(
  {
    perPage: fc.constantFrom(12, 48),
    columns: fc.constantFrom(2, 5),
    paging: fc.constantFrom('pages' as const, 'more' as const),
    sorts: fc.constantFrom<ShopperSort[]>(['title'], ['newest', 'title']),
  },
  { requiredKeys: [] },
);

test('a group has what is its own, field by field, and all else as everywhere', () => {
  fc.assert(
    fc.property(own, own, (everywhere, differs) => {
      const listings: Listings = { ...usualListings, ...everywhere, own: [{ at, ...differs }] };
      const layout = layoutAt(listings, at);
      for (const field of Object.keys(layoutWords) as LayoutField[])
        expect([field, layout[field]]).toEqual([
          field,
          field in differs ? differs[field as keyof typeof differs] : listings[field],
        ]);
      // Another group of the same kind, and the same id of another kind, have nothing of it.
      const { own: _, ...shared } = listings;
      expect(layoutAt(listings, { kind: 'category', id: 'c_other1' })).toEqual(shared);
      expect(layoutAt(listings, { kind: 'tag', id: at.id })).toEqual(shared);
      expect(layoutAt(listings, { kind: 'all' })).toEqual(shared);
    }),
  );
});

test('whatever of the parts of a page is stored, all are there once, those that are stored in their order', () => {
  fc.assert(
    fc.property(fc.shuffledSubarray([...usualProductLayout.parts]), (stored) => {
      const whole = wholeParts(stored);
      expect(whole.slice(0, stored.length)).toEqual(stored);
      expect(whole.map(({ part }) => part).sort()).toEqual([...partKeys].sort());
    }),
  );
});

test('the layout of a product is that of its main category, before that of its kind, before that of all', () => {
  const { parts } = usualProductPage;
  const page: ProductPage = {
    ...usualProductPage,
    own: [
      { of: { kind: 'kind', id: 'digital' }, parts, gallery: 'stack', stays: 'none' },
      { of: { kind: 'category', id: 'c_kites1' }, parts, gallery: 'pairs', stays: 'words' },
    ],
  };
  const gallery = (kind: string, ...categoryIds: string[]) => productLayoutOf(page, { kind, categoryIds }).gallery;
  expect(gallery('physical')).toBe('small');
  expect(gallery('digital')).toBe('stack');
  expect(gallery('digital', 'c_kites1')).toBe('pairs');
  expect(gallery('physical', 'c_other1', 'c_kites1')).toBe('small');
});

test.each(['title', 'choice'] as const)('a page without its %s is refused', (part) => {
  const parts = usualProductPage.parts.map((each) => ({ ...each, shown: each.part !== part }));
  expect(productPageSchema.safeParse({ ...usualProductPage, parts }).success).toBe(false);
});
