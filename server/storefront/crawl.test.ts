import type { Settings } from '../../core/model/settings';
import { reachableListings, reachablePages, reachOf } from '../../core/storefront/reach';
import { targetAt } from '../../core/storefront/pages/targets';
import { addProduct, startServer, type Harness } from '../testing/harness';

let shop: Harness;
beforeAll(async () => void (shop = await startServer()));
afterAll(() => shop.close());

const post = async (path: string, body: object) => (await shop.call<{ id: string }>('POST', path, body)).body.id;
const seen = Number.MAX_SAFE_INTEGER;
const patch = (path: string, fields: object) => shop.call('PATCH', path, fields);

/** A shop with ways in and without, filled so that one listing has several pages. */
async function fill(): Promise<void> {
  const kites = await post('/api/categories', { name: 'Kites' });
  const deltas = await post('/api/categories', { name: 'Deltas', parentId: kites });
  const line = await post('/api/categories', { name: 'Line' });
  const alone = await post('/api/categories', { name: 'Alone' });
  const shut = await post('/api/categories', { name: 'Shut' });
  await patch(`/api/categories/${shut}`, { status: 'off' });
  const brand = await post('/api/brands', { name: 'Tern' });
  await patch(`/api/named/brand/${brand}`, { listed: true });
  await post('/api/brands', { name: 'Nobody' });
  const shelf = await post('/api/collections', { name: 'Beach', source: 'picked' });
  const hidden = await post('/api/collections', { name: 'Hidden', source: 'picked' });
  const products: string[] = [];
  for (let i = 0; i < 60; i++) {
    const { product } = await addProduct(shop, `Kite ${i}`);
    products.push(product.id);
    const categoryIds = i === 59 ? [alone] : i === 58 ? [] : i % 2 ? [deltas] : [kites];
    await patch(`/api/products/${product.id}`, { seen, fields: { categoryIds, ...(i === 3 && { brandId: brand }) } });
  }
  const { product: reel } = await addProduct(shop, 'Reel');
  await patch(`/api/products/${reel.id}`, { seen, fields: { categoryIds: [line] } });
  await patch(`/api/products/${products[5]}`, { seen, fields: { goesWith: { how: 'picked', ids: [reel.id] } } });
  await shop.call('POST', `/api/collections/${shelf}/products`, { ids: products.slice(0, 6) });
  await shop.call('POST', `/api/collections/${hidden}/products`, { ids: products.slice(59) });
  const about = await post('/api/pages', { title: 'About' });
  const lost = await post('/api/pages', { title: 'Lost' });
  const around = await post('/api/pages', { title: 'Around' });
  const home = [...shop.catalog.working.shop.pages.values()].find((page) => page.home)!.id;
  await patch(`/api/pages/${home}`, {
    sections: [
      {
        id: null,
        kind: 'banner',
        slides: [{ title: 'Fly', text: '', buttons: [{ words: '', to: { kind: 'category', id: kites } }] }],
      },
      { id: null, kind: 'strip', title: '', source: { kind: 'collection', id: shelf }, count: 4 },
      { id: null, kind: 'text', title: 'Read', html: '<p><a href="/page/about">About us</a></p>' },
      { id: null, kind: 'tiles', title: '', targets: [{ kind: 'category', id: shut }] },
      {
        id: null,
        kind: 'banner',
        hidden: true,
        slides: [{ title: 'Later', text: '', buttons: [{ words: '', to: { kind: 'page', id: lost } }] }],
      },
    ],
  });
  await patch(`/api/pages/${about}`, {
    sections: [{ id: null, kind: 'product', title: '', productId: products[0] }],
  });
  await patch(`/api/pages/${around}`, {
    standsOn: [{ kind: 'category', id: line }],
    sections: [{ id: null, kind: 'tiles', title: '', targets: [{ kind: 'collection', id: hidden }] }],
  });
  await patch(`/api/pages/${lost}`, {
    sections: [{ id: null, kind: 'strip', title: '', source: { kind: 'category', id: alone }, count: 4 }],
  });
  await shop.call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'category', id: deltas }, items: [] }],
  });
  await shop.call('POST', '/api/editions', {});
}

/** Follows every link of the live shop as a browser would; answers clicks from the home page by path. */
async function crawl(): Promise<Map<string, number>> {
  const clicks = new Map([['/', 0]]);
  const queue = ['/'];
  for (let path = queue.shift(); path !== undefined; path = queue.shift()) {
    const answer = await shop.raw(path);
    if (answer.status !== 200) throw new Error(`${path} answers ${answer.status}.`);
    const html = await answer.text();
    const body = html.slice(html.indexOf('<body'), html.indexOf('<script'));
    for (const [, href] of body.matchAll(/<a [^>]*?href="(\/[^"#]*)/g)) {
      const url = href!.replace(/&amp;/g, '&').replace(/\?v=.*/, '');
      if (clicks.has(url)) continue;
      clicks.set(url, clicks.get(path)! + 1);
      queue.push(url);
    }
  }
  return clicks;
}

/** Reach has to be what a walk over the rendered links of the live shop finds, with the same number of clicks. */
async function expectReachAsCrawled() {
  const { shop: live } = shop.catalog.live;
  const { clicks, products } = reachOf(live);
  const crawled = new Map<string, number>();
  for (const [path, after] of await crawl()) {
    const target = targetAt(live, path);
    if (!target) continue;
    const key = `${target.kind}:${target.id}`;
    crawled.set(key, Math.min(after, crawled.get(key) ?? Infinity));
  }
  const places = [...crawled].filter(([key]) => !key.startsWith('product:'));
  expect(new Map([...clicks].sort())).toEqual(new Map(places.sort()));
  // A product is in sight one click before its own page.
  const told = [...products].flatMap((after, slot) =>
    after < 0 ? [] : [[`product:${live.index.id(slot)}`, after + 1]],
  );
  const met = [...crawled].filter(([key]) => key.startsWith('product:'));
  expect(Object.fromEntries(told)).toEqual(Object.fromEntries(met));
  // The quick walk, which does not count clicks, comes to the same places.
  const quick = [
    ...reachableListings(live).map(({ kind, id }) => `${kind}:${id}`),
    ...reachablePages(live).map(({ id }) => `page:${id}`),
  ];
  expect(quick.sort()).toEqual([...clicks.keys()].sort());
  return { clicks, told };
}

test('reach is what a walk over the rendered links of the live shop finds, with the same number of clicks', async () => {
  await fill();
  const { clicks, told } = await expectReachAsCrawled();
  expect(told.length).toBeGreaterThan(50);
  // What no link leads to is not reached: the dead end, what it holds, and what only it leads to.
  const names = new Set([...clicks.keys()].map((key) => key.split(':')[0]));
  expect(names).toEqual(new Set(['page', 'category', 'collection', 'brand']));
  expect(told.length).toBeLessThan(61);
});

test('it is that too where listings and product pages are laid out otherwise, and a notice leads somewhere', async () => {
  const { body: settings } = await shop.call<Settings>('GET', '/api/settings');
  const { categories } = shop.catalog.working.shop;
  const named = (name: string) => [...categories.values()].find((category) => category.name === name)!.id;
  const kites = { kind: 'category' as const, id: named('Kites') };
  const alone = { kind: 'category' as const, id: named('Alone') };
  const set = async (fields: Partial<Settings>) => {
    await shop.call('PATCH', '/api/settings', fields);
    await shop.call('POST', '/api/editions', {});
  };
  // What is in it has another main category, so that only the page of its parent leads to it, where that shows what is below.
  const below = await post('/api/categories', { name: 'Below', parentId: kites.id });
  const [first] = [...shop.catalog.working.products.values()].filter(({ title }) => title === 'Kite 0');
  await patch(`/api/products/${first!.id}`, { seen, fields: { categoryIds: [kites.id, below] } });
  await shop.call('PUT', '/api/menu', { items: [] });
  const { listings, productPage } = settings;
  await set({
    listings: { ...listings, paging: 'more', perPage: 8, sorts: ['title'], own: [{ at: kites, children: 'none' }] },
    productPage: {
      ...productPage,
      parts: productPage.parts.map((each) => ({ ...each, shown: each.part !== 'brand' && each.part !== 'goesWith' })),
    },
  });
  const before = await expectReachAsCrawled();
  expect([...before.clicks.keys()].some((key) => key.startsWith('brand:'))).toBe(false);
  expect(before.clicks.has(`category:${alone.id}`)).toBe(false);
  expect(before.clicks.has(`category:${below}`)).toBe(false);
  await set({ notice: { text: 'Alone, but found', link: alone } });
  const after = await expectReachAsCrawled();
  expect(after.clicks.get(`category:${alone.id}`)).toBe(1);
  expect(after.told.length).toBeGreaterThan(before.told.length);
  await set({ listings });
  expect((await expectReachAsCrawled()).clicks.has(`category:${below}`)).toBe(true);
});
