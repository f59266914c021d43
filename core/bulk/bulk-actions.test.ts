import { noTaxSettings } from '../model/selling';
import fc from 'fast-check';
import type { Product } from '../model/product';
import { productDefaults } from '../model/product';
import { option, variant } from '../testing/product-parts';
import { kiteSheet as anySheet } from '../testing/shop';
import {
  bulkActions,
  bulkLabel,
  bulkRequestSchema,
  isChange,
  planOf,
  type BulkKey,
  type BulkRequest,
} from './bulk-actions';
import { changeLines, type NamesOf } from './changes';
import type { BulkSources } from './plan';

const kiteSheet = { ...anySheet, id: 'y_000001' };

const kite = (over: Partial<Product> = {}): Product => ({
  ...productDefaults,
  id: 'p_1',
  created: '2026-05-01T10:00:00.000Z',
  kind: 'physical',
  title: 'Harrier',
  summary: '',
  description: '',
  slug: 'harrier',
  status: 'draft',
  featured: false,
  brandId: null,
  categoryIds: ['c_000001'],
  tagIds: [],
  options: [option('size', 's', 'l')],
  variants: [variant('v_1', ['s'], { price: 1_000, cost: 400, stock: 3 }), variant('v_2', ['l'], { price: 2_000 })],
  pictures: [
    { id: 'f_1', media: 'm', width: 3, height: 2, alt: '', focus: { x: 0, y: 0 }, fit: 'fills', background: '#ffffff' },
  ],
  ...over,
});
const sources: BulkSources = {
  now: 1_800_000_000,
  settings: { taxRate: 2_100, reducedTaxRate: 900, taxIncluded: true, tax: noTaxSettings, currency: 'EUR' },
  sheets: new Map([[kiteSheet.id, kiteSheet]]),
  nextFeaturedPlace: 7,
};
const names: NamesOf = {
  brand: (id) => id,
  category: (id) => id,
  tag: (id) => id,
  sheets: sources.sheets,
  currency: 'EUR',
  timeZone: 'UTC',
};

/** A request for each action that changes the kite. A new action has to be added here. */
const examples: { [Key in BulkKey]: Extract<BulkRequest, { do: Key }> } = {
  price: { do: 'price', by: { how: 'percent', more: 1_000 }, rounding: null, floor: null },
  sale: { do: 'sale', off: 2_000, from: null, until: null, rounding: null, floor: null },
  stock: { do: 'stock', how: 'set', pieces: 9 },
  status: { do: 'status', status: 'live' },
  days: { do: 'days', from: '2026-06-01T00:00:00.000Z', until: null },
  featured: { do: 'featured', featured: true },
  categories: { do: 'categories', how: 'add', ids: ['c_000002'] },
  tags: { do: 'tags', how: 'set', ids: ['t_000002', 't_000001'] },
  brand: { do: 'brand', id: 'b_000001' },
  supplier: { do: 'supplier', name: 'Tern & Tackle' },
  taxClass: { do: 'taxClass', taxClass: 'reduced' },
  specs: { do: 'specs', sheetId: kiteSheet.id, values: { a_span: 1_800 } },
  delivery: { do: 'delivery', weight: 350 },
  pictures: { do: 'pictures', fit: 'fits' },
  delete: { do: 'delete' },
};

describe.each(Object.keys(bulkActions) as BulkKey[])('%s', (key) => {
  const request = examples[key];
  const after = (product: Product) => {
    const plan = planOf(product, request, sources);
    return 'after' in plan ? plan.after : undefined;
  };

  test('is asked for by its own name, and read as it was sent', () => {
    expect(bulkActions[key].schema.safeParse(request).success).toBe(true);
    expect(bulkRequestSchema.parse(request)).toEqual(request);
  });

  test('says in words what it did, to one product and to many', () => {
    expect(bulkLabel(request, 1)).toMatch(/^[A-Z].*one product/);
    expect(bulkLabel(request, 1_200)).toMatch(/^[A-Z].*1,200 products/);
  });

  test('changes the product, tells it in words, and leaves it alone the second time', () => {
    const plan = planOf(kite(), request, sources);
    expect(isChange(kite(), plan)).toBe(true);
    if (!('after' in plan)) return expect(plan).toEqual({ deleted: true });
    expect(changeLines(kite(), plan.after, names)).not.toEqual([]);
    // Prices that rise by a share rise again.
    if (key !== 'price') expect(after(plan.after)).toBe(plan.after);
  });

  test('does not change the product that it is given', () => {
    const product = kite();
    const before = JSON.stringify(product);
    planOf(product, request, sources);
    expect(JSON.stringify(product)).toBe(before);
  });
});

describe('what cannot be is said, and nothing is changed', () => {
  const problem = (product: Product, request: BulkRequest) => {
    const plan = planOf(product, request, sources);
    return 'problem' in plan ? plan.problem : undefined;
  };
  const service = kite({ kind: 'service' });

  test.each<[string, Product, BulkRequest, string]>([
    ['a gift card', kite({ kind: 'giftCard' }), examples.price, 'a gift card costs what it is worth'],
    ['no cost', kite(), { ...examples.price, by: { how: 'margin', share: 4_000 } }, 'its cost is not known'],
    [
      'below nothing',
      kite(),
      { ...examples.price, by: { how: 'amount', more: -1_001 } },
      'it would cost less than nothing',
    ],
    ['nothing is delivered', service, examples.delivery, 'nothing of it is delivered'],
    ['no picture', kite({ pictures: [] }), examples.pictures, 'it has no picture'],
    [
      'not counted',
      kite({ variants: [variant('v_1', ['s'], { stock: null })] }),
      { do: 'stock', how: 'add', pieces: 1 },
      'it is not counted',
    ],
    ['fewer than none', kite(), { do: 'stock', how: 'add', pieces: -4 }, 'there would be fewer than none'],
    [
      'an attribute that went',
      kite(),
      { ...examples.specs, values: { a_gone: 'x' } },
      'one of these attributes was deleted',
    ],
    ['a sheet that went', kite(), { ...examples.specs, sheetId: 'y_gone00' }, 'the spec sheet was deleted'],
    [
      'a reduction to nothing',
      kite({ variants: [variant('v_1', ['s'], { price: 1 })] }),
      { ...examples.sale, off: 1 },
      'the reduction would round to nothing',
    ],
  ])('%s', (_what, product, request, words) => expect(problem(product, request)).toBe(words));
});

test('no price ends below the floor, whatever is asked for and however it is rounded', () => {
  const by = fc.oneof(
    fc.record({ how: fc.constant('percent' as const), more: fc.integer({ min: -9_900, max: 5_000 }) }),
    fc.record({ how: fc.constant('set' as const), amount: fc.integer({ min: 0, max: 5_000 }) }),
    fc.record({ how: fc.constant('markUp' as const), share: fc.integer({ min: 0, max: 20_000 }) }),
  );
  const rounding = fc.constantFrom(
    null,
    { step: 100, ending: 90, way: 'nearest' as const },
    { step: 50, ending: 0, way: 'down' as const },
  );
  fc.assert(
    fc.property(
      by,
      rounding,
      fc.integer({ min: 0, max: 3_000 }),
      fc.integer({ min: 0, max: 20_000 }),
      (how, ending, cost, floor) => {
        const product = kite({ variants: [variant('v_1', ['s'], { price: 1_500, cost })] });
        const plan = planOf(product, { do: 'price', by: how, rounding: ending, floor }, sources);
        if (!('after' in plan)) return;
        const lowest = (cost * (10_000 + floor) * 12_100) / 1e8;
        expect(plan.after.variants[0]!.price).toBeGreaterThanOrEqual(Math.ceil(lowest - 1e-6));
      },
    ),
    { numRuns: 300 },
  );
});
