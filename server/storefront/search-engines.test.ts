import { XMLParser } from 'fast-xml-parser';
import { startShop } from '../testing/harness';

let shop: Awaited<ReturnType<typeof startShop>>;
beforeAll(async () => void (shop = await startShop({ Harrier: 1_000, Wren: 2_000, Secret: 3_000 })));
afterAll(() => shop.close());

const seen = Number.MAX_SAFE_INTEGER;
const text = async (path: string) => (await shop.raw(path)).text();
const parser = new XMLParser({ ignoreAttributes: false, isArray: (name) => name === 'url' });
interface Sitemap {
  urlset: { url: { loc: string; lastmod: string }[] };
}
const addresses = async () =>
  (parser.parse(await text('/sitemap.xml')) as Sitemap).urlset.url.map(({ loc }) =>
    loc.replace('https://shop.example', ''),
  );
const jsonOf = async (path: string) =>
  [...(await text(path)).matchAll(/<script type="application\/ld\+json">(.*?)<\/script>/gs)].map(
    ([, json]) => JSON.parse(json!) as Record<string, unknown>,
  );

test('before the shop is open, nothing of it may be read', async () => {
  expect(await text('/robots.txt')).toBe('User-agent: *\nDisallow: /\n');
  expect((await shop.raw('/sitemap.xml')).status).toBe(404);
});

test('the sitemap has what shoppers reach and search engines may show, each with the day since which it is so', async () => {
  const { id: deltas } = (await shop.call<{ id: string }>('POST', '/api/categories', { name: 'Deltas' })).body;
  await shop.call('POST', '/api/categories', { name: 'Nowhere' });
  await shop.call('POST', '/api/pages', { title: 'Lost' });
  for (const id of shop.ids)
    await shop.call('PATCH', `/api/products/${id}`, { seen, fields: { categoryIds: [deltas] } });
  await shop.call('PATCH', `/api/products/${shop.ids[2]}`, { seen, fields: { noindex: true } });
  await shop.call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'category', id: deltas }, items: [] }],
  });
  await shop.call('POST', '/api/editions', {});
  expect((await addresses()).sort()).toEqual(['/', '/c/deltas', '/p/harrier', '/p/wren']);
  const { urlset } = parser.parse(await text('/sitemap.xml')) as Sitemap;
  for (const { lastmod } of urlset.url) expect(Date.parse(lastmod)).toBeLessThanOrEqual(Date.now());
  // Each of them answers as a page that may be shown.
  for (const path of await addresses()) {
    const answer = await shop.raw(path);
    expect([path, answer.status]).toEqual([path, 200]);
    expect(await answer.text()).not.toContain('content="noindex"');
  }
  expect(await text('/robots.txt')).toContain('Sitemap: https://shop.example/sitemap.xml');
});

test('pages tell machines the way there, what they list, and what to show where they are shared', async () => {
  const [way, goods] = await jsonOf('/c/deltas');
  expect(goods ?? way).toMatchObject({ '@type': 'ItemList', numberOfItems: 3 });
  expect((await jsonOf('/')).map((each) => each['@type'])).toEqual(['Organization', 'WebSite']);
  const [product, crumbs] = await jsonOf('/p/wren');
  expect(product).toMatchObject({ '@type': 'Product', name: 'Wren' });
  expect(crumbs).toMatchObject({
    '@type': 'BreadcrumbList',
    itemListElement: [{ name: 'Home' }, { name: 'Deltas' }, { name: 'Wren', position: 3 }],
  });
  const html = await text('/p/wren');
  expect(html).toContain('<meta property="og:title" content="Wren');
  expect(html).toContain('<meta property="og:url" content="https://shop.example/p/wren">');
  // What only the seller sees is shared with nobody.
  const preview = await (await shop.raw('/preview/p/wren', { headers: { Cookie: shop.cookie } })).text();
  expect(preview).not.toContain('og:title');
  expect(preview).not.toContain('ld+json');
});

test('what is gone says so for good, and what never was does not', async () => {
  await shop.call('DELETE', `/api/products/${shop.ids[0]}`);
  await shop.call('POST', '/api/editions', {});
  expect((await shop.raw('/p/harrier')).status).toBe(410);
  expect((await shop.raw('/p/never')).status).toBe(404);
  expect(await addresses()).not.toContain('/p/harrier');
});
