import type { ProductAnswer } from '../../contract/product';
import { routes } from '../../contract';
import type { AnswerOf } from '../../contract/route';
import type { ListingView } from '../../core/storefront/views';
import type { ProductView } from '../../core/storefront/views';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const ALL = Number.MAX_SAFE_INTEGER;
const patch = (id: string, fields: object) =>
  server.call<ProductAnswer>('PATCH', `/api/products/${id}`, { seen: ALL, fields });
const attribute = (id: string, name: string, type: string, unit: string) => ({
  id,
  name,
  type,
  unit,
  choices: [],
  heading: '',
  required: false,
  shown: true,
  filterable: true,
});

/** Three kites: with wingspan and wind, with a wingspan only, and with neither. */
async function measuredKites() {
  const { id } = (await server.call<{ id: string }>('POST', '/api/spec-sheets', { name: 'Kite' })).body;
  const attributes = [
    attribute('a_wingspan', 'Wingspan', 'number', 'cm'),
    attribute('a_windrange', 'Wind', 'range', 'Bft'),
  ];
  await server.call('PUT', `/api/spec-sheets/${id}`, { name: 'Kite', attributes });
  const kites: [string, object][] = [
    ['Harrier', { a_wingspan: 180_000, a_windrange: { min: 2_000, max: 4_000 } }],
    ['Wagtail', { a_wingspan: 120_500 }],
    ['Stone', {}],
  ];
  for (const [title, specs] of kites) {
    const { product } = await addProduct(server, title);
    await patch(product.id, { specSheetId: id, specs });
  }
  await server.call('POST', '/api/editions', {});
}
const listing = async (query: string) => (await server.raw(`/shop-api/listing?at=all&sort=title${query}`)).json();
const titles = async (query: string) => ((await listing(query)) as ListingView).items.map(({ title }) => title);

test('shoppers narrow by numbers of specs: what meets the span passes, what has no number does not', async () => {
  await measuredKites();
  expect(await titles('')).toEqual(['Harrier', 'Stone', 'Wagtail']);
  expect(await titles('&f.spec.a_wingspan=100..150')).toEqual(['Wagtail']);
  expect(await titles('&f.spec.a_wingspan=120.5..')).toEqual(['Harrier', 'Wagtail']);
  expect(await titles('&f.spec.a_windrange=4..9')).toEqual(['Harrier']);
  expect(await titles('&f.spec.a_windrange=5..')).toEqual([]);
  const { facets } = (await listing('&f.spec.a_wingspan=..150')) as ListingView;
  expect(facets.find(({ key }) => key === 'spec.a_wingspan')).toEqual({
    key: 'spec.a_wingspan',
    label: 'Wingspan',
    type: 'range',
    values: { min: 120.5, max: 180 },
    selected: { min: null, max: 150 },
    unit: 'cm',
  });
});

test.each(['a..b', '..', '9..3', '1e9..2', '5...6'])('a span of “%s” is refused as impossible', async (span) => {
  await measuredKites();
  const response = await server.raw(`/shop-api/listing?f.spec.a_wingspan=${span}`);
  expect(response.status).toBe(400);
  expect(await response.json()).toMatchObject({ errors: [{ path: ['f.spec.a_wingspan'] }] });
});

test('the seller reads which collections take a product in and why, nearest misses first', async () => {
  const { product } = await addProduct(server, 'Harrier', 6_400);
  const rule = (value: number) => ({
    match: 'all',
    of: [
      { field: 'price', is: 'below', value },
      { field: 'title', is: 'contains', value: 'harrier' },
    ],
  });
  for (const [name, value] of [
    ['Under 100', 10_000],
    ['Under 50', 5_000],
  ] as const) {
    const made = await server.call<{ id: string }>('POST', '/api/collections', { name, source: 'rule' });
    await server.call('PATCH', `/api/collections/${made.body.id}`, { rule: rule(value) });
  }
  await server.call('POST', '/api/collections', { name: 'By hand', source: 'picked', picked: [product.id] });
  await server.call('POST', '/api/collections', { name: 'Empty', source: 'rule' });
  const { collections } = (
    await server.call<AnswerOf<typeof routes.goods.memberships>>('GET', `/api/products/${product.id}/memberships`)
  ).body;
  expect(collections.map(({ name, isIn, missing }) => [name, isIn, missing])).toEqual([
    ['Under 100', true, 0],
    ['By hand', true, 0],
    ['Under 50', false, 1],
    ['Empty', false, null],
  ]);
  expect(collections[2]!.reasons).toEqual([
    { path: [0], words: 'price is below €50.00', holds: false, actual: '€64.00', isTurned: false },
    { path: [1], words: 'title contains “harrier”', holds: true, actual: '“Harrier”', isTurned: false },
  ]);
});

test('delivery facts of one variant stand in place of those of the product', async () => {
  const { product } = await addProduct(server, 'Line');
  const values = ['50 m', '100 m'].map((name) => ({ id: null, name, swatch: null }));
  const options = [{ id: null, name: 'Length', values }];
  const { variants } = (
    await server.call<ProductAnswer>('PUT', `/api/products/${product.id}/options`, { seen: ALL, options })
  ).body.product;
  await patch(product.id, { weight: 200, dispatchDays: 1 });
  const changes = [{ id: variants[1]!.id, fields: { weight: 380, size: { length: 300, width: 80, height: 80 } } }];
  await server.call('PATCH', `/api/products/${product.id}/variants`, { seen: ALL, changes });
  const preview = await server.raw('/preview/p/line', {
    headers: { Accept: 'application/json', Cookie: server.cookie },
  });
  const view = ((await preview.json()) as { page: { product: ProductView } }).page.product;
  expect(view.variants.map(({ delivery }) => delivery)).toEqual([
    null,
    [
      { label: 'Dispatch', value: 'within 1 day' },
      { label: 'Weight', value: '380 g' },
      { label: 'Package', value: '30 × 8 × 8 cm' },
    ],
  ]);
  await server.call('POST', '/api/undo');
  const after = (await server.call<ProductAnswer>('GET', `/api/products/${product.id}`)).body.product;
  expect(after.variants[1]).toMatchObject({ weight: null, size: null });
});

test('a description keeps tables and own pictures, and nothing that loads or runs', async () => {
  const { product } = await addProduct(server, 'Harrier');
  const own = `/media/${'a'.repeat(32)}/960.webp`;
  const description = [
    '<table style="width:9px"><colgroup><col></colgroup><tbody><tr><th colspan="2">Wind</th></tr></tbody></table>',
    `<img src="${own}" alt="A kite" onerror="x()"><img src="https://elsewhere.example/x.png"><img src="/media/../x">`,
    '<p>Line<br />break <a href="javascript:x()">no</a></p>',
  ].join('');
  const saved = (await patch(product.id, { description })).body.product.description;
  expect(saved).toBe(
    `<table><tbody><tr><th colspan="2">Wind</th></tr></tbody></table><img src="${own}" alt="A kite">` +
      '<p>Line<br>break <a>no</a></p>',
  );
  expect((await patch(product.id, { description: saved })).body.product.description).toBe(saved);
});

test('a spec sheet that a collection asks for is not deleted', async () => {
  await measuredKites();
  const made = await server.call<{ id: string }>('POST', '/api/collections', { name: 'Wide', source: 'rule' });
  const rule = { match: 'all', of: [{ field: 'spec.a_wingspan', is: 'above', value: 150_000 }] };
  expect((await server.call('PATCH', `/api/collections/${made.body.id}`, { rule })).status).toBe(200);
  const { sheets } = (await server.call<{ sheets: { id: string }[] }>('GET', '/api/spec-sheets')).body;
  expect(problem(await server.call('DELETE', `/api/spec-sheets/${sheets[0]!.id}`)).title).toMatch(/Wide.*asks for/);
});
