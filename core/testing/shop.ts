import fc from 'fast-check';
import type { DocumentBodies, DocumentKind, ProductDocument, ShopDocument } from '../model/document';
import { documentDefaults } from '../publishing/document-text';
import { categoryDefaults, collectionDefaults, namedDefaults, type Collection } from '../model/group';
import { NEWEST_FIRST } from '../model/order';
import { whenSoldOutChoices } from '../model/product-values';
import type { Attribute, SpecSheet, SpecValue } from '../model/spec-sheet';
import type { DaySales } from '../shop/facts';
import { ResolvedShop } from '../shop/resolved-shop';
import { EMPTY_RULE } from '../model/rule';
import { usualItem, type MenuItem } from '../model/menu';
import { usualPage, type Page } from '../model/page';
import { wholeSection, type SectionKind, type SectionOf } from '../model/sections/sections';

/** Seconds since 1970 that the tests call now. */
export const NOW = 1_800_000_000;
const TODAY = Math.floor(NOW / 86_400) * 86_400;

export function productOf(id: string, over: Partial<ProductDocument> = {}): ProductDocument {
  return {
    ...documentDefaults.product,
    id,
    kind: 'physical',
    title: `Kite ${id}`,
    summary: '',
    description: '',
    slug: id.replace(/_/g, '-'),
    status: 'live',
    featured: false,
    brandId: null,
    categoryIds: [],
    tagIds: [],
    options: [],
    variants: [
      { id: `${id}v`, values: [], sku: '', price: 1000, salePrice: null, pictureId: null, ...documentDefaults.variant },
    ],
    pictures: [],
    created: new Date((NOW - 86_400) * 1000).toISOString(),
    ...over,
  };
}

const group = (id: string, name: string) => ({ id, name, slug: name.toLowerCase() });
const category = (id: string, name: string, parentId: string | null, position: number): ShopDocument => ({
  kind: 'category',
  key: id,
  body: { ...categoryDefaults, ...group(id, name), parentId, position },
});
const named = (kind: 'tag' | 'brand', id: string, name: string): ShopDocument => ({
  kind,
  key: id,
  body: { ...namedDefaults, ...group(id, name) },
});

/** A collection filled by rule, or by hand with `source: 'picked'`. */
export function collectionOf(id: string, over: Partial<Collection>): Collection {
  return {
    ...collectionDefaults,
    ...group(id, id),
    source: 'rule',
    picked: [],
    rule: EMPTY_RULE,
    order: NEWEST_FIRST,
    ...over,
  };
}

const attribute = (id: string, type: Attribute['type'], choices: string[] = []): Attribute => ({
  id,
  name: id,
  type,
  unit: '',
  choices: choices.map((each) => ({ id: each, name: each })),
  heading: '',
  required: false,
  shown: true,
  filterable: true,
});

/** Spec sheet x_kite with a number, a range, choices and a yes/no. */
export const kiteSheet: SpecSheet = {
  id: 'x_kite',
  name: 'Kite',
  attributes: [
    attribute('a_span', 'number'),
    attribute('a_wind', 'range'),
    attribute('a_cloth', 'choices', ['q_nylon', 'q_paper']),
    attribute('a_glows', 'yesNo'),
  ],
};

/** Categories c_kites > c_deltas, c_line; tags t_indoor, t_night; brands b_alula, b_tern. */
export const groupDocuments: ShopDocument[] = [
  category('c_kites', 'Kites', null, 0),
  category('c_deltas', 'Deltas', 'c_kites', 0),
  category('c_line', 'Line', null, 1),
  named('tag', 't_indoor', 'Indoor'),
  named('tag', 't_night', 'Night'),
  named('brand', 'b_alula', 'Alula'),
  named('brand', 'b_tern', 'Tern'),
  { kind: 'specSheet', key: 'x_kite', body: kiteSheet },
];

/** Some products were sold, others never. */
const salesOf = (productId: string): readonly DaySales[] =>
  productId.endsWith('3')
    ? []
    : [
        { day: TODAY, pieces: 2 },
        { day: TODAY - 29 * 86_400, pieces: productId.charCodeAt(productId.length - 1) % 7 },
      ];

export function shopOf(
  products: readonly ProductDocument[],
  stock: ReadonlyMap<string, number | null> = new Map(),
  now = NOW,
) {
  const shop = new ResolvedShop({ stock: (id) => stock.get(id) ?? null, sales: salesOf, now });
  shop.load([...groupDocuments, ...products.map((body): ShopDocument => ({ kind: 'product', key: body.id, body }))]);
  return shop;
}

const moment = fc.option(
  fc.integer({ min: NOW - 20, max: NOW + 100 }).map((at) => new Date(at * 1000).toISOString()),
  {
    nil: null,
    freq: 2,
  },
);
const thousandths = fc.integer({ min: 0, max: 4 }).map((n) => n * 1000);
const specs: fc.Arbitrary<Record<string, SpecValue>> = fc.record(
  {
    a_span: fc.oneof(thousandths, fc.constant('no number')),
    a_wind: fc.tuple(thousandths, thousandths).map(([a, b]) => ({ min: Math.min(a, b), max: Math.max(a, b) })),
    a_cloth: fc.uniqueArray(fc.constantFrom('q_nylon', 'q_paper', 'q_gone'), { maxLength: 2 }),
    a_glows: fc.boolean(),
  },
  { requiredKeys: [] },
);

/** A product of the small world above with up to four variants of two options. */
export function productArbitrary(id: fc.Arbitrary<string>): fc.Arbitrary<ProductDocument> {
  return fc
    .record({
      id,
      title: fc.constantFrom('Harrier delta', 'Wren sled', 'Night box', 'Braided line'),
      kind: fc.constantFrom('physical' as const, 'digital' as const),
      status: fc.constantFrom('live' as const, 'live' as const, 'draft' as const, 'off' as const),
      brandId: fc.constantFrom(null, 'b_alula', 'b_tern'),
      featured: fc.boolean(),
      description: fc.constantFrom('', '<p>A light kite</p>'),
      categoryIds: fc.uniqueArray(fc.constantFrom('c_kites', 'c_deltas', 'c_line'), { maxLength: 2 }),
      tagIds: fc.uniqueArray(fc.constantFrom('t_indoor', 't_night'), { maxLength: 2 }),
      age: fc.integer({ min: 0, max: 60 }),
      saleFrom: moment,
      saleUntil: moment,
      liveFrom: moment,
      liveUntil: moment,
      whenSoldOut: fc.constantFrom(...whenSoldOutChoices),
      specSheetId: fc.constantFrom('x_kite', null),
      specs,
      variants: fc.uniqueArray(
        fc.record({
          colour: fc.integer({ min: 0, max: 1 }),
          size: fc.integer({ min: 0, max: 1 }),
          price: fc.integer({ min: 1, max: 5 }),
          sale: fc.option(fc.integer({ min: 1, max: 5 })),
        }),
        { selector: ({ colour, size }) => colour * 2 + size, minLength: 1, maxLength: 4 },
      ),
    })
    .map(({ id, age, variants, ...rest }) =>
      productOf(id, {
        ...rest,
        supplier: rest.brandId === 'b_tern' ? 'Tern & Tackle' : '',
        created: new Date((NOW - age * 86_400) * 1000).toISOString(),
        options: [
          {
            id: 'o_1',
            name: 'Colourway',
            values: ['Ember', 'Pine'].map((name, i) => ({ id: `w_c${i}`, name, swatch: null, pictureId: null })),
          },
          {
            id: 'o_2',
            name: 'Size',
            values: ['S', 'L'].map((name, i) => ({ id: `w_s${i}`, name, swatch: null, pictureId: null })),
          },
        ],
        variants: variants.map(({ colour, size, price, sale }) => ({
          id: `${id}v${colour}${size}`,
          values: [`w_c${colour}`, `w_s${size}`],
          sku: '',
          price: price * 100,
          salePrice: sale === null ? null : sale * 100,
          pictureId: null,
          ...documentDefaults.variant,
          cost: price % 2 === 0 ? null : 250,
        })),
      }),
    );
}

/** Adds or replaces one document of a shop, or removes it when `body` is undefined. */
export function put<K extends DocumentKind>(
  shop: ResolvedShop,
  kind: K,
  key: string,
  body: DocumentBodies[K] | undefined,
): void {
  shop.take({ documents: [{ kind, key, body }] });
}

/** A page; the home page unless `over` says otherwise. */
export const pageOf = (over: Partial<Page>): Page => ({
  ...usualPage,
  id: 'g_home',
  title: 'Home',
  slug: 'home',
  home: true,
  sections: [],
  ...over,
});

/** A section with what is as usual left out. */
export const sectionOf = <Kind extends SectionKind>(
  section: Partial<SectionOf<Kind>> & { id: string; kind: Kind },
): SectionOf<Kind> => wholeSection(section) as unknown as SectionOf<Kind>;

/** An item of a menu. */
export const itemOf = (over: Partial<MenuItem> & Pick<MenuItem, 'id' | 'target'>): MenuItem => ({
  ...usualItem,
  label: '',
  items: [],
  ...over,
});
