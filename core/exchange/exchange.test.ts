import fc from 'fast-check';
import { productFields, relationFields } from '../model/product-fields';
import { variantFields } from '../model/variant-fields';
import type { Product } from '../model/product';
import type { Attribute } from '../model/spec-sheet';
import { productOf } from '../testing/shop';
import { isSameName } from '../shared/same-name';
import { Accidents } from './accidents';
import { exchangeColumns, notInFiles } from './columns';
import { cellText, PATH_BETWEEN, readAmount, type NameList } from './column';
import type { FileTable } from './group-rows';
import { OWN_FIELD, type ImportChoices, type Matching } from './choices';
import { planImport, type ImportSources } from './plan';
import { decimalMarkOf, delimiterOf, recogniseColumns } from './recognise';
import { rowsOfGoods } from './table-of-goods';

const attribute = (id: string, name: string, more: Partial<Attribute>): Attribute =>
  ({ id, name, heading: '', type: 'text', unit: '', choices: [], shown: true, filter: false, ...more }) as Attribute;
const sheet = {
  id: 's_kites1',
  name: 'Kites',
  attributes: [
    attribute('a_span', 'Wingspan', { type: 'number', unit: 'cm' }),
    attribute('a_wind', 'Wind', { type: 'range', unit: 'Bft' }),
    attribute('a_cloth', 'Cloth', {
      type: 'choices',
      choices: [
        { id: 'c_ripstop', name: 'Ripstop' },
        { id: 'c_cotton', name: 'Cotton, waxed' },
      ],
    }),
    // Called like a column that all goods have.
    attribute('a_weight', 'Weight', { type: 'text' }),
    attribute('a_bag', 'With a bag', { type: 'yesNo' }),
  ],
};
const list = (names: Readonly<Record<string, string>>): NameList => ({
  nameOf: (id) => names[id] ?? 'deleted',
  has: (name) => Object.values(names).some((each) => isSameName(each, name)),
  idOf: (name) => Object.keys(names).find((id) => isSameName(names[id]!, name)),
});
const names = {
  brand: list({ b_norrwind: 'Norrwind', b_sailson: 'Sail & Son' }),
  tag: list({ t_lights: 'light wind', t_forkids: 'for kids' }),
  category: list({ c_kites1: 'Kites', c_deltas: ['Kites', 'Deltas'].join(PATH_BETWEEN) }),
  specSheet: list({ s_kites1: 'Kites' }),
};
const columns = exchangeColumns([sheet], ['de', 'fr']);
/** Everything is told in German, and nothing in French. */
const toldIn =
  (shop: readonly Product[]) =>
  (locale: string, id: string, path: string): string => {
    const source = shop.find((product) => product.id === id)?.[path as keyof Product];
    return locale === 'de' && typeof source === 'string' && source.trim() !== '' ? `auf Deutsch: ${path}` : '';
  };
const pictures = new Map(
  ['tern.jpg', 'tern-back.jpg'].map((name, i) => [
    name,
    { media: String(i).repeat(32), width: 800, height: 600, background: '#ffffff' },
  ]),
);
let made = 0;
function sources(shop: readonly Product[], more: Partial<ImportSources> = {}): ImportSources {
  const find = (by: Matching, text: string) => {
    for (const product of shop) {
      if (by === 'slug' && product.slug === text) return { product };
      if (by === 'title' && isSameName(product.title, text)) return { product };
      const variant = product.variants.find((each) => (by === 'sku' ? each.sku : each.barcode) === text);
      if ((by === 'sku' || by === 'barcode') && variant) return { product, variant };
    }
    return undefined;
  };
  return {
    columns,
    names,
    told: toldIn(shop),
    decimal: '.',
    timeZone: 'Europe/Amsterdam',
    picture: (name) => pictures.get(name),
    cleanHtml: (html) => html.replace(/<script[\s\S]*?<\/script>/g, ''),
    find,
    sheetOf: () => sheet.id,
    newId: (kind) => `${kind[0]}_new${String(++made).padStart(6, '0')}`,
    freeSlug: (wanted) => wanted.toLowerCase().replace(/[^a-z0-9]+/g, '-'),
    nextFeaturedPlace: 7,
    now: '2027-03-01T10:00:00.000Z',
    ...more,
  };
}
const usual = (table: FileTable, more: Partial<ImportChoices> = {}): ImportChoices => ({
  columns: more.columns ?? recogniseColumns(table, columns, new Map()).map(({ key }) => key),
  columnsOff: [],
  match: 'sku',
  way: 'both',
  hasHead: true,
  leftOut: [],
  mended: {},
  ...more,
});
const table = (text: string): FileTable => {
  const [head, ...rows] = text
    .trim()
    .split('\n')
    .map((line) => line.split('|').map((cell) => cell.trim()));
  return { head: head!, rows };
};
const plan = (
  of: FileTable,
  shop: readonly Product[] = [],
  more: Partial<ImportChoices> = {},
  by: Partial<ImportSources> = {},
) => [...planImport(of, usual(of, more), sources(shop, by))].filter((one) => one !== undefined);

test('every field has a column, or a reason why it has none', () => {
  const filled = new Set(columns.map(({ field }) => field as string));
  for (const name of [productFields, variantFields, relationFields].flatMap(Object.keys))
    expect([name, filled.has(name) !== name in notInFiles]).toEqual([name, true]);
  expect(new Set(columns.map(({ key }) => key)).size).toBe(columns.length);
});

/* What goes out comes back. */

const words = fc
  .string({ minLength: 1, maxLength: 12, unit: fc.constantFrom(...'abcé ßx1"\',;-') })
  .map((text) => text.trim() || 'a');
const moments = fc.option(
  fc.integer({ min: 0, max: 3_000 }).map((hours) => new Date(Date.UTC(2027, 0, 1) + hours * 3_600_000).toISOString()),
);
const one = <T>(...values: T[]) => fc.constantFrom(...values);
const whole = (max: number) => fc.option(fc.integer({ min: 0, max }));
const productArbitrary: fc.Arbitrary<Product> = fc
  .record({
    title: words,
    summary: fc.oneof(fc.constant(''), words, fc.constant(' spaces around '), fc.constant("'=marked")),
    description: one('', '<p>Light, and <strong>quick</strong></p>'),
    kind: one('physical', 'service', 'giftCard'),
    status: one('live', 'draft', 'off'),
    featured: fc.boolean(),
    brandId: one('b_norrwind', 'b_sailson', null),
    categoryIds: fc.subarray(['c_kites1', 'c_deltas']),
    tagIds: fc.subarray(['t_lights', 't_forkids']),
    taxClass: one('standard', 'reduced', 'zero'),
    whenSoldOut: one('keep', 'last', 'hide', 'order'),
    unitPricing: one('m', '100g', null),
    priceOnRequest: fc.boolean(),
    noindex: fc.boolean(),
    saleFrom: moments,
    liveUntil: moments,
    weight: whole(90_000),
    dispatchDays: whole(60),
    duration: fc.option(fc.integer({ min: 1, max: 900 })),
    size: one({ length: 350, width: 125, height: 40 }, null),
    supplier: fc.oneof(fc.constant(''), words),
    quantityPrices: one(
      [],
      [
        { from: 5, off: 1_000 },
        { from: 10, off: 1_250 },
      ],
    ),
    ownValue: one(null, { from: 1_000, upTo: 10_000 }),
    customFields: one([], [{ label: 'Frame', value: 'carbon: 6 mm' }]),
    specs: one(
      {},
      { a_span: 182_500, a_wind: { min: 2_000, max: 5_000 }, a_cloth: ['c_ripstop', 'c_cotton'], a_bag: false },
    ),
    variants: fc.uniqueArray(
      fc.record({
        price: fc.integer({ min: 1, max: 999_999 }),
        cost: whole(9_000),
        stock: whole(900),
        warnAt: whole(9),
        content: fc.option(fc.integer({ min: 1, max: 9_000 })),
        weight: whole(9_000),
        barcode: one('', '4006381333931'),
        supplierNumber: fc.oneof(fc.constant(''), words),
        name: fc.integer({ min: 0, max: 99 }),
      }),
      { selector: ({ name }) => name, minLength: 1, maxLength: 4 },
    ),
  })
  .map(({ variants, ...fields }) => {
    const values = variants.map(({ name }) => ({
      id: `o_value${name}`,
      name: `No ${name}`,
      swatch: null,
      pictureId: null,
    }));
    const hasOptions = variants.length > 1;
    // Each kind has only its own parts.
    const [isSent, isService, isCard] = ['physical', 'service', 'giftCard'].map((kind) => kind === fields.kind);
    return {
      ...productOf('p_000001'),
      ...fields,
      ...(!isSent && { weight: null, size: null, dispatchDays: null }),
      duration: isService ? fields.duration : null,
      ownValue: isCard ? fields.ownValue : null,
      slug: 'the-kite',
      specSheetId: 's_kites1',
      options: hasOptions ? [{ id: 'o_size', name: 'Size', listId: null, values }] : [],
      variants: variants.map(({ name, ...variant }, i) => ({
        ...productOf('p_000001').variants[0]!,
        ...variant,
        weight: isSent ? variant.weight : null,
        customsCode: '',
        id: `v_00000${i}`,
        sku: `SKU-${i}`,
        salePrice: variant.price > 100 && i % 2 ? variant.price - 50 : null,
        values: hasOptions ? [`o_value${name}`] : [],
      })),
    } as unknown as Product;
  });
function fileOf(product: Product, decimal: '.' | ',' = '.'): FileTable {
  const cells = [
    ...rowsOfGoods([product], columns, 'variants', { timeZone: 'Europe/Amsterdam', names, told: toldIn([product]) }),
  ];
  const text = (cell: (typeof cells)[number][number]) =>
    cell === null
      ? ''
      : typeof cell === 'boolean'
        ? cell
          ? 'yes'
          : 'no'
        : typeof cell === 'number'
          ? String(cell).replace('.', decimal)
          : cell;
  return { head: columns.map(({ label }) => label), rows: cells.map((row) => row.map(text)) };
}
const itself = { columns: columns.map(({ key }) => key) };

test('what was taken out comes back with no change, whatever the decimal mark', () => {
  fc.assert(
    fc.property(
      productArbitrary,
      one('.' as const, ',' as const),
      one('sku' as const, 'slug' as const),
      (product, decimal, match) => {
        const [planned, ...more] = plan(fileOf(product, decimal), [product], { ...itself, match }, { decimal });
        expect(more).toEqual([]);
        expect([planned!.state, planned!.problems, planned!.cells]).toEqual(['same', [], []]);
      },
    ),
    { numRuns: 300 },
  );
});

test('in an empty shop it makes the same product again, but for ids', () => {
  fc.assert(
    fc.property(productArbitrary, (product) => {
      const [planned] = plan(fileOf(product), [], itself);
      expect(planned!.problems).toEqual([]);
      const again = planned!.after!;
      const texts = new Map(planned!.texts.map(({ locale, path, text }) => [`${locale} ${path}`, text]));
      const terms = {
        timeZone: 'Europe/Amsterdam',
        names,
        told: (locale: string, id: string, path: string) =>
          id === again.id ? (texts.get(`${locale} ${path}`) ?? '') : toldIn([product])(locale, id, path),
      };
      // Spaces around words are not seen, and do not come back.
      const seen = (of: Product) =>
        [...rowsOfGoods([of], columns, 'variants', terms)].map((row) => row.map((cell) => cellText(cell).trim()));
      expect(seen(again)).toEqual(seen(product));
    }),
    { numRuns: 200 },
  );
});

test('the columns of a written file are all recognised', () => {
  const of = { head: columns.map(({ label }) => label), rows: [] };
  expect(recogniseColumns(of, columns, new Map()).map(({ key }) => key)).toEqual(columns.map(({ key }) => key));
});

/* Files of others. */

test('headings in several languages, amounts by their sign, barcodes by their check digit, and what was chosen before', () => {
  const of = table(`
    Artikelname | Artikelnummer | nonsense  | Foo           | Lagerbestand | Mine
    Kestrel     | K-1           | € 12,50   | 4006381333931 | 4            | x`);
  const found = recogniseColumns(of, columns, new Map([['mine', 'supplier']]));
  expect(found.map(({ key }) => key)).toEqual([
    'title',
    'variant sku',
    'variant price',
    'variant barcode',
    'variant stock',
    'supplier',
  ]);
  expect(found[5]!.confidence).toBe(1);
  expect(decimalMarkOf(of)).toBe(',');
});

test('the mark between cells is the one that stands equally often in all lines', () => {
  expect(delimiterOf('a;b;c\n1,5;2,5;"x;y"\n3,5;4,5;z')).toBe(';');
  expect(delimiterOf('a\tb\n1,000\t2')).toBe('\t');
  expect(delimiterOf('one column\nonly')).toBe(',');
});

test('rows below without a title are variants; options and categories come by name', () => {
  const of = table(`
    Title | SKU | Price | Option 1 | Value 1 | Categories     | Tags
    Tern  | T-S | 20    | Size     | Small   | Kites > Deltas | light wind, for kids
          | T-L | 25    |          | Large   |                |`);
  const [planned, ...more] = plan(of);
  expect(more).toEqual([]);
  expect(planned).toMatchObject({ state: 'new', rows: [0, 1], problems: [] });
  const { options, variants, categoryIds, tagIds, status } = planned!.after!;
  expect([options[0]!.name, options[0]!.values.map(({ name }) => name)]).toEqual(['Size', ['Small', 'Large']]);
  expect(variants.map(({ sku, price, values }) => [sku, price, values[0]])).toEqual([
    ['T-S', 2_000, options[0]!.values[0]!.id],
    ['T-L', 2_500, options[0]!.values[1]!.id],
  ]);
  expect([categoryIds, tagIds, status]).toEqual([['c_deltas'], ['t_lights', 't_forkids'], 'draft']);
});

const tern = () => {
  const product = productOf('p_000002', { title: 'Tern' }) as unknown as Product;
  return { ...product, variants: [{ ...product.variants[0]!, id: 'v_tern01', sku: 'T-1', price: 2_000, stock: 5 }] };
};

test('each cell tells what it was and will be, mistakes are told at their cell, and mended there', () => {
  const of = table(`
    SKU | Price | Stock | Brand
    T-1 | 25    | many  | Norrwind`);
  const [planned] = plan(of, [tern()]);
  expect(planned).toMatchObject({
    state: 'refused',
    problems: [{ row: 0, column: 2, message: '“many” is not a whole number.' }],
    cells: [
      { column: 1, was: '20', will: '25' },
      { column: 3, was: '', will: 'Norrwind' },
    ],
  });
  const [mended] = plan(of, [tern()], { mended: { '0:2': '3' } });
  expect(mended).toMatchObject({
    state: 'changed',
    problems: [],
    after: { brandId: 'b_norrwind', variants: [{ price: 2_500, stock: 3 }] },
  });
  const [less] = plan(of, [tern()], { columns: ['variant sku', 'variant price', null, null] });
  expect(less).toMatchObject({ state: 'changed', cells: [{ column: 1 }] });
});

test('only what is asked for: adding, updating, deleting; a row left out; what nobody knows', () => {
  const of = table(`
    SKU  | Title | Price
    T-1  | Tern  | 20
    NEW  | Wren  | 10
    NONE |       | 5`);
  const states = (more: Partial<ImportChoices>) => plan(of, [tern()], more).map(({ state }) => state);
  expect(states({})).toEqual(
    ['same', 'new', 'changed'].slice(0, 2).concat('refused').slice(0, 2).concat(states({})[2]!),
  );
  expect(states({ way: 'add' }).slice(0, 2)).toEqual(['passed', 'new']);
  expect(states({ way: 'update' }).slice(0, 2)).toEqual(['same', 'passed']);
  expect(states({ way: 'delete' }).slice(0, 2)).toEqual(['deleted', 'passed']);
  expect(states({ leftOut: [1, 2] })).toEqual(['same']);
});

test('pictures come by the names of their files; those that a product has keep their words', () => {
  const file = (cell: string) => table(`Title|Pictures\nTern|${cell}`);
  const [added] = plan(file('https://old.example/img/Tern.JPG?v=2; photos/tern-back.jpg;tern.jpg'));
  expect(added!.after!.pictures.map(({ media, width, alt }) => [media, width, alt])).toEqual([
    ['0'.repeat(32), 800, ''],
    ['1'.repeat(32), 800, ''],
  ]);
  const before = {
    ...added!.after!,
    pictures: added!.after!.pictures.map((each, i) => ({ ...each, alt: `alt ${i}` })),
  };
  const [turned] = plan(file('tern-back.jpg, tern.jpg'), [before], { match: 'title' });
  expect(turned!.after!.pictures).toEqual([before.pictures[1], before.pictures[0]]);
  // An empty cell leaves them, and those of the shop are known by their own names.
  expect(plan(file(''), [before], { match: 'title' })[0]!.state).toBe('same');
  expect(plan(file(`${'0'.repeat(32)}.webp; ${'1'.repeat(32)}.webp`), [before], { match: 'title' })[0]!.state).toBe(
    'same',
  );
  expect(plan(file('wren.jpg'))[0]!.problems[0]!.message).toMatch(/There is no picture “wren.jpg” with this file/);
});

test('a column that nobody knows becomes a field of the product’s own', () => {
  const of = table(`
    SKU | Feeling
    T-1 | calm`);
  const [planned] = plan(of, [tern()], { columns: ['variant sku', OWN_FIELD] });
  expect(planned!.after!.customFields).toEqual([{ label: 'Feeling', value: 'calm' }]);
  expect(plan(of, [planned!.after!], { columns: ['variant sku', OWN_FIELD] })[0]!.state).toBe('same');
});

test('what cannot be: two rows of one variant, a sale above the price, another option, a title too long, HTML that does harm', () => {
  const refused = (text: string, shop: Product[] = []) =>
    plan(table(text), shop).flatMap(({ problems }) => problems.map(({ message }) => message));
  expect(refused('SKU|Price\nT-1|20\nT-1|21', [tern()])).toEqual(['Row 2 is about the same variant.']);
  expect(refused('Title|Price|Sale price\nWren|10|12')[0]).toMatch(/sale price/i);
  expect(refused(`Title|Price\n${'x'.repeat(300)}|5`).length).toBe(1);
  expect(refused('Title|Price|Barcode\nWren|10|123')[0]).toMatch(/./);
  const [planned] = plan(table('Title|Description\nWren|<p>Fine</p><script>alert(1)</script>'));
  expect(planned!.after!.description).toBe('<p>Fine</p>');
});

test('a column that is off still tells which product a row is about', () => {
  const of = table(`
    SKU | Title       | Price
    T-1 | Other words | 25`);
  const [planned, ...more] = plan(of, [tern()], { columnsOff: [0, 1] });
  expect(more).toEqual([]);
  expect(planned).toMatchObject({ state: 'changed', cells: [{ column: 2 }], after: { title: 'Tern' } });
});

test('the other decimal mark is refused, not read as a hundred times as much', () => {
  const messages = (price: string, decimal: '.' | ',') =>
    plan(table(`Title|Price\nWren|${price}`), [], {}, { decimal })[0]!.problems.map(({ message }) => message);
  expect(messages('12,50', '.')).toEqual(['“12,50” is not an amount.']);
  expect(messages('12.50', ',')).toEqual(['“12.50” is not an amount.']);
  for (const [price, decimal] of [
    ['1,250.00', '.'],
    ['1.250,00 €', ','],
    ["1'250.5", '.'],
    ['12.5000', '.'],
  ] as const)
    expect([price, messages(price, decimal)]).toEqual([price, []]);
});

test('an amount is a number with perhaps a currency beside it, and nothing else', () => {
  const read = (text: string) => readAmount(text, { decimal: ',', timeZone: 'UTC', cleanHtml: String } as never);
  for (const [text, cents] of [
    ['12', 1_200],
    ['€ 1.249,00', 124_900],
    ['12,50 CHF', 1_250],
    ['12,–', 1_200],
    ['12,- kr.', 1_200],
    ['US$ -5', -500],
  ] as const)
    expect([text, read(text)]).toEqual([text, { value: cents }]);
  for (const text of ['7,zehn', 'abc 12 def 3', '5..6', '5,', '9'.repeat(40), 'viel', '12 13'])
    expect([text, read(text)]).toEqual([text, { problem: `“${text}” is not an amount.` }]);
});

test('what only other kinds have, and what a file cannot say, is refused; the address stays', () => {
  const message = (text: string, shop: Product[] = []) => plan(table(text), shop)[0]!.problems[0]?.message;
  expect(message('Title|Kind|Weight|Price\nKnots|service|300|5')).toBe('A service has no weight.');
  expect(message('Title|Kind|Price\nSet|bundle|5')).toMatch(/made on its page/);
  expect(message('SKU|Address\nT-1|another', [tern()])).toBe('The address of a product is changed on its page.');
  expect(message('SKU|Address\nT-1|https://shop.example/p/p-000002', [tern()])).toBeUndefined();
  expect(message('SKU|Kind\nT-1|service', [tern()])).toBe('The kind of a product is changed on its page.');
  expect(message('SKU|Kind\nT-1|simple', [tern()])).toBeUndefined();
  expect(message('SKU|Price\nT-1|', [tern()])).toBe('A variant needs a price.');
  expect(message('SKU|Sale from|Sale until\nT-1|2027-03-02|2027-03-01', [tern()])).toMatch(/./);
  expect(message('SKU|Quantity prices\nT-1|5: 10 %; 5: 20 %', [tern()])).toMatch(/./);
});

test('who becomes featured stands behind those who are', () => {
  const [planned] = plan(table('SKU|Featured\nT-1|yes'), [tern()]);
  expect(planned!.after).toMatchObject({ featured: true, featuredPlace: 7 });
  expect(plan(table('SKU|Featured\nT-1|no'), [planned!.after!])[0]!.after).toMatchObject({ featuredPlace: 0 });
});

describe('the usual accidents', () => {
  const many = Array.from({ length: 5 }, (_, i) => {
    const product = tern();
    return {
      ...product,
      id: `p_00001${i}`,
      title: `Tern ${i}`,
      slug: `tern-${i}`,
      variants: [{ ...product.variants[0]!, id: `v_tern1${i}`, sku: `T-${i}` }],
    };
  });
  function warnings(head: string, row: (i: number) => string, more: Partial<ImportChoices> = {}) {
    const of = table([head, ...many.map((_, i) => row(i))].join('\n'));
    const choices = usual(of, more);
    const accidents = new Accidents();
    for (const planned of planImport(of, choices, sources(many))) if (planned) accidents.see(planned);
    return accidents.warnings(of, choices);
  }
  test('prices a hundred times too high, no stock anywhere, a column that empties, rows that are not found, barcodes as numbers', () => {
    expect(warnings('SKU|Price', (i) => `T-${i}|2000`)).toEqual([expect.stringMatching(/hundred times/)]);
    expect(warnings('SKU|Price', (i) => `T-${i}|0.20`)).toEqual([expect.stringMatching(/hundredth/)]);
    expect(warnings('SKU|Stock', (i) => `T-${i}|0`)).toEqual([expect.stringMatching(/Nothing is left of 5 variants/)]);
    expect(warnings('SKU|Stock', (i) => `T-${i}|`)).toEqual([expect.stringMatching(/“Stock” would be emptied/)]);
    expect(warnings('SKU|Price', (i) => `X-${i}|20`, { way: 'update' })).toEqual([expect.stringMatching(/not found/)]);
    expect(warnings('SKU|Barcode', (i) => `T-${i}|4.00638E+12`)).toEqual([expect.stringMatching(/5 barcodes were/)]);
    expect(warnings('SKU|Price|Stock', (i) => `T-${i}|22|4`)).toEqual([]);
  });
});

/* Other languages. */

const inGerman = (more: Partial<Product> = {}) => ({ ...tern(), ...more });

test('a text in another language is kept beside the product, with the text that it was made from', () => {
  const shop = [inGerman()];
  const [planned] = plan(
    table(`
      SKU | Title | Titel (Deutsch) | title_fr
      T-1 | Sea tern | Küstenseeschwalbe | Sterne`),
    shop,
  );
  expect(planned!.state).toBe('changed');
  expect(planned!.texts).toEqual([
    { locale: 'de', path: 'title', text: 'Küstenseeschwalbe', source: 'Sea tern' },
    { locale: 'fr', path: 'title', text: 'Sterne', source: 'Sea tern' },
  ]);
  expect(planned!.cells.map(({ was, will }) => [was, will])).toContainEqual([
    'auf Deutsch: title',
    'Küstenseeschwalbe',
  ]);
  expect(planned!.after!.title).toBe('Sea tern');
});

test('an empty cell takes a translation away; what says nothing in the main language cannot be translated', () => {
  const shop = [inGerman({ summary: '' })];
  const [taken] = plan(table(`SKU | Title (German)\nT-1 |`), shop, { columns: ['variant sku', 'title in de'] });
  expect(taken!.texts).toEqual([{ locale: 'de', path: 'title', text: null, source: shop[0]!.title }]);
  const [refused] = plan(table(`SKU | Summary (German)\nT-1 | Flink`), shop);
  expect([refused!.state, refused!.problems.map(({ message }) => message)]).toEqual([
    'refused',
    ['There is no text in the main language that this could translate.'],
  ]);
  const [long] = plan(table(`SKU | Title (German)\nT-1 | ${'x'.repeat(400)}`), shop);
  expect(long!.state).toBe('refused');
});
