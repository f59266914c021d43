import fc from 'fast-check';
import { list } from '../search/listing';
import { collectionOf, kiteSheet, productOf, put, shopOf } from '../testing/shop';
import { coloursOf } from './colours';
import { understand, variantsMeant } from './understand';

const option = (name: string, values: [name: string, swatch: string | null][]) => ({
  id: `o_${name}`,
  name,
  listId: null,
  values: values.map(([value, swatch], i) => ({ id: `w_${name}${i}`, name: value, swatch, pictureId: null })),
});

function kites() {
  const colourway = option('Colourway', [
    ['Ember', '#e4572e'],
    ['Sea', '#1d4f91'],
  ]);
  const coloured = (id: string) => [
    ...colourway.values.map(({ id: value }, i) => ({
      ...productOf(id).variants[0]!,
      id: `${id}v${i}`,
      values: [value],
    })),
  ];
  const shop = shopOf([
    productOf('p_harrier', {
      title: 'Harrier delta 180',
      categoryIds: ['c_deltas'],
      options: [colourway],
      variants: coloured('p_harrier'),
    }),
    productOf('p_swift', {
      title: 'Swift delta',
      summary: 'For a light-wind day, on one line.',
      categoryIds: ['c_deltas'],
    }),
    productOf('p_print', { title: 'Wall print: sixteen kites', summary: 'Deltas, boxes, all on a wall.' }),
    productOf('p_line', { title: 'Braided line', summary: 'Holds a kite.', categoryIds: ['c_line'] }),
    productOf('p_sock', { title: 'Harbour windsock' }),
    productOf('p_first', { title: 'Diamond mini', tagIds: ['t_first'] }),
  ]);
  put(shop, 'tag', 't_first', {
    ...shop.tags.values().next().value!,
    id: 't_first',
    name: 'First kite',
    slug: 'first',
  });
  put(
    shop,
    'collection',
    'k_beach',
    collectionOf('k_beach', { name: 'Beach week', source: 'picked', picked: ['p_sock'] }),
  );
  return shop;
}
type Shop = ReturnType<typeof kites>;

function found(shop: Shop, query: string, fillTo = 0) {
  const { slots, dropped, full } = list(shop.index, {
    base: shop.listed,
    text: understand(shop, query, fillTo),
    sort: 'match',
    tieOrder: 'newest',
    offset: 0,
    limit: 50,
  });
  return { ids: slots.map((slot) => shop.index.id(slot)), dropped, full };
}
const ids = (shop: Shop, query: string) => found(shop, query).ids;

test('one and many find the same, and goods of a category of that name come first', () => {
  const shop = kites();
  expect(ids(shop, 'delta').slice(0, 2).sort()).toEqual(['p_harrier', 'p_swift']);
  expect(ids(shop, 'deltas').sort()).toEqual(ids(shop, 'delta').sort());
  expect(ids(shop, 'kites').slice(0, 2).sort()).toEqual(['p_harrier', 'p_swift']);
});

test('what a query is about counts more than what it says beside', () => {
  const shop = kites();
  expect(ids(shop, 'line for kites')[0]).toBe('p_line');
  expect(ids(shop, 'kite line')[0]).toBe('p_line');
  expect(ids(shop, 'kite with line')[0]).toBe('p_swift');
});

test('colours are those of swatches, and the variant in that colour is the one to show', () => {
  const shop = kites();
  expect(ids(shop, 'blue delta')).toEqual(['p_harrier']);
  const shown = variantsMeant(shop, 'blue deltas')!;
  const slot = shop.index.slot('p_harrier')!;
  const start = shop.index.variants.start(slot);
  const variants = Array.from({ length: shop.index.variants.count(slot) }, (_, i) => start + i);
  expect(variants.filter((variant) => shown.has(variant)).map((variant) => shop.index.variants.id(variant))).toEqual([
    'p_harrierv1',
  ]);
  expect(variantsMeant(shop, 'delta')).toBeUndefined();
});

test.each([
  ['#e4572e', 'red'],
  ['#f3a712', 'orange'],
  ['#1d4f91', 'blue'],
  ['#6a8f3c', 'green'],
  ['#5b3f9e', 'purple'],
  ['#ffffff', 'white'],
])('%s would be called %s', (hex, name) => expect(coloursOf(hex)).toContain(name));

test('words are found together, apart and with a hyphen, with a slip, and by tags and collections', () => {
  const shop = kites();
  for (const query of ['light wind', 'light-wind', 'lightwind', 'Lightwinds'])
    expect(ids(shop, query)).toContain('p_swift');
  for (const query of ['wind sock', 'windsocks', 'windsok']) expect(ids(shop, query)).toContain('p_sock');
  expect(ids(shop, 'harier detla')[0]).toBe('p_harrier');
  expect(ids(shop, 'first kites')[0]).toBe('p_first');
  expect(ids(shop, 'beach week')).toEqual(['p_sock']);
});

test('measures fit specs in any unit, and ranges that hold them', () => {
  const shop = shopOf([
    productOf('p_wide', { specSheetId: 'y_size', specs: { a_span: 1_800_000 } }),
    productOf('p_narrow', { specSheetId: 'y_size', specs: { a_span: 900_000 } }),
  ]);
  const attributes = kiteSheet.attributes.map((each) => (each.id === 'a_span' ? { ...each, unit: 'mm' } : each));
  put(shop, 'specSheet', 'y_size', { ...kiteSheet, id: 'y_size', attributes });
  for (const query of ['180 cm', '1.8 m', '1,8m kite']) expect(ids(shop, query)).toEqual(['p_wide']);
});

test('one odd word does not empty the page: it is left out, and that is said; goods that come close fill it up', () => {
  const shop = kites();
  expect(found(shop, 'delta zzyzx')).toMatchObject({ dropped: ['zzyzx'] });
  expect(found(shop, 'delta zzyzx').ids).toEqual(ids(shop, 'delta'));
  const { ids: near, full } = found(shop, 'harrier delta', 12);
  expect([near[0], full]).toEqual(['p_harrier', 1]);
  expect(near).toContain('p_swift');
  expect(found(shop, 'zzyzx')).toEqual({ ids: [], dropped: ['zzyzx'], full: 0 });
});

test('what the seller said to mean the same is found in all forms', () => {
  const shop = kites();
  put(shop, 'settings', 'shop', { ...shop.settings, synonyms: [['child', 'first kite']] });
  for (const query of ['child', 'children', 'kite for a child']) expect(ids(shop, query)).toContain('p_first');
});

const word = fc.constantFrom(
  'delta',
  'deltas',
  'kite',
  'kites',
  'line',
  'harrier',
  'wind',
  'blue',
  'windsock',
  'sixteen',
  'zzyzx',
);
const query = fc.array(word, { minLength: 1, maxLength: 5 });

test('forms of words never lose what the words themselves find', () => {
  const shop = kites();
  fc.assert(
    fc.property(query, (words) => {
      const plain = list(shop.index, { base: shop.listed, text: words.join(' '), sort: 'match', offset: 0, limit: 50 });
      const read = new Set(ids(shop, words.join(' ')));
      for (const slot of plain.slots) expect(read).toContain(shop.index.id(slot));
    }),
    { numRuns: 200 },
  );
});

test('a query without one of its words finds no less, and filling up only adds', () => {
  const shop = kites();
  fc.assert(
    fc.property(query, fc.nat(4), (words, at) => {
      const all = found(shop, words.join(' '));
      const fewer = words.filter((_, i) => i !== at % words.length);
      if (fewer.length > 0 && all.dropped.length === 0 && found(shop, fewer.join(' ')).dropped.length === 0)
        expect(ids(shop, fewer.join(' ')).length).toBeGreaterThanOrEqual(all.ids.length);
      const filled = found(shop, words.join(' '), 12);
      for (const id of all.ids) expect(filled.ids).toContain(id);
    }),
    { numRuns: 200 },
  );
});

test('what a spec is called finds the goods that have it, and no others', () => {
  const attributes = kiteSheet.attributes.map((each) => (each.id === 'a_span' ? { ...each, name: 'Wingspan' } : each));
  const shop = shopOf([
    productOf('p_measured', { specSheetId: 'x_kite', specs: { a_span: 180 } }),
    productOf('p_unmeasured', { specSheetId: 'x_kite', specs: {} }),
  ]);
  put(shop, 'specSheet', 'x_kite', { ...kiteSheet, attributes });
  expect(found(shop, 'wingspans').ids).toEqual(['p_measured']);
});
