import { addProduct, startServer, type Harness } from '../testing/harness';

let shop: Harness;
beforeEach(async () => void (shop = await startServer()));
afterEach(() => shop.close());

interface Found {
  kind: string;
  label: string;
  note: string;
}
const find = async (q: string) =>
  (await shop.call<{ found: Found[] }>('GET', `/api/find?q=${encodeURIComponent(q)}`)).body.found;
const post = async (path: string, body: object) => (await shop.call<{ id: string }>('POST', path, body)).body.id;

test('products come first, then groups with how many goods they have, then pages', async () => {
  const { product } = await addProduct(shop, 'Beach delta');
  const category = await post('/api/categories', { name: 'Beach kites' });
  await post('/api/collections', { name: 'For the beach', source: 'picked' });
  await post('/api/tags', { name: 'beach' });
  await post('/api/pages', { title: 'Beach week' });
  const fields = { categoryIds: [category] };
  await shop.call('PATCH', `/api/products/${product.id}`, { seen: Number.MAX_SAFE_INTEGER, fields });
  expect((await find('beach')).map(({ kind, label, note }) => [kind, label, note])).toEqual([
    ['product', 'Beach delta', ''],
    ['category', 'Beach kites', 'category · 1 goods'],
    ['collection', 'For the beach', 'collection · 0 goods'],
    ['tag', 'beach', 'tag · 0 goods'],
    ['page', 'Beach week', 'page'],
  ]);
});

test('marks and capitals do not matter, a slip in a title is forgiven, and no words find nothing', async () => {
  await addProduct(shop, 'Möwe');
  await post('/api/brands', { name: 'Großer Wind' });
  expect((await find('mowe')).map(({ label }) => label)).toEqual(['Möwe']);
  expect((await find('GROSSER')).map(({ label }) => label)).toEqual(['Großer Wind']);
  expect((await find('möve')).map(({ label }) => label)).toEqual(['Möwe']);
  expect(await find('   ')).toEqual([]);
  expect(await find('x'.repeat(500))).toEqual([]);
});

test('of many, the first eight products and four of each sort of group are told', async () => {
  for (let i = 0; i < 10; i++) await addProduct(shop, `Kite ${i}`);
  for (let i = 0; i < 6; i++) await post('/api/tags', { name: `kite ${i}` });
  const found = await find('kite');
  expect(found.filter(({ kind }) => kind === 'product')).toHaveLength(8);
  expect(found.filter(({ kind }) => kind === 'tag')).toHaveLength(4);
});
