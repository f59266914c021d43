import type { Cards } from '../../core/model/cards';
import { freshBadge } from '../../core/model/cards';
import type { Settings } from '../../core/model/settings';
import type { ShopData } from '../../shop/data';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
const ids: string[] = [];
beforeEach(async () => {
  server = await startServer();
  ids.length = 0;
  for (const [title, price] of [
    ['Avocet', 1_000],
    ['Bittern', 2_000],
    ['Curlew', 3_000],
  ] as const) {
    const { product } = await addProduct(server, title, price);
    ids.push(product.id);
  }
});
afterEach(() => server.close());

const settings = async () => (await server.call<Settings>('GET', '/api/settings')).body;
const set = (fields: Partial<Settings>) => server.call('PATCH', '/api/settings', fields);
const headers = () => ({ Cookie: server.cookie, Accept: 'application/json' });
const data = async (path: string) =>
  (await (await server.raw(`/preview${path}`, { headers: headers() })).json()) as ShopData;
const html = async (path: string) =>
  (await server.raw(`/preview${path}`, { headers: { Cookie: server.cookie } })).text();
async function listing(path = '/search') {
  const { page } = await data(path);
  if (page.kind !== 'listing') throw new Error(page.kind);
  return page;
}
async function product(slug = 'avocet') {
  const { page } = await data(`/p/${slug}`);
  if (page.kind !== 'product') throw new Error(page.kind);
  return page;
}

describe('cards', () => {
  const setCards = async (over: Partial<Cards>) => set({ cards: { ...(await settings()).cards, ...over } });

  test('only what a card tells is answered, in the order in which it is told', async () => {
    const before = (await listing()).listing.items[0]!;
    expect(before).not.toHaveProperty('stock');
    expect((await data('/search')).shop).not.toHaveProperty('cards');
    await setCards({ parts: ['title', 'picture', 'stock', 'button'] });
    expect((await listing()).listing.items[0]).toMatchObject({ stock: 'In stock', button: 'Add to basket' });
    const page = await html('/search');
    // Whichever stands first: its title comes before its picture.
    expect(page.search(/>(Avocet|Bittern|Curlew)</)).toBeLessThan(page.indexOf('No picture yet'));
    expect(page).not.toContain('€30.00</span>');
  });

  test('badges are worded by the seller, hold by what is true of a product, and no more than wanted are shown', async () => {
    await server.call('PATCH', `/api/products/${ids[0]}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { featured: true },
    });
    const rule = { match: 'all' as const, of: [{ field: 'featured', is: 'yes' as const, value: null }] };
    const badges = [
      { ...freshBadge('bdg_aaaaaa', 'rule'), words: 'Our favourite', rule },
      { ...freshBadge('bdg_bbbbbb', 'new'), words: 'New for {days} days' },
    ];
    await setCards({ badges, mostBadges: 1 });
    const told = async () =>
      Object.fromEntries(
        (await listing()).listing.items.map(({ title, badges: of }) => [title, of.map(({ words }) => words)]),
      );
    expect(await told()).toEqual({
      Avocet: ['Our favourite'],
      Bittern: ['New for 30 days'],
      Curlew: ['New for 30 days'],
    });
    await setCards({ badges, mostBadges: 2 });
    expect((await told()).Avocet).toEqual(['Our favourite', 'New for 30 days']);
    await server.call('PATCH', `/api/products/${ids[0]}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { featured: false },
    });
    expect((await told()).Avocet).toEqual(['New for 30 days']);
  });

  test('last pieces and what is reduced are counted, and of what is sold out nothing else is said', async () => {
    const first = (await listing()).listing.items.find(({ title }) => title === 'Avocet')!;
    const change = (fields: object) =>
      server.call('PATCH', `/api/products/${ids[0]}/variants`, {
        seen: Number.MAX_SAFE_INTEGER,
        changes: [{ id: first.variantId, fields }],
      });
    await setCards({
      badges: [
        freshBadge('bdg_aaaaaa', 'soldOut'),
        freshBadge('bdg_bbbbbb', 'reduced'),
        freshBadge('bdg_cccccc', 'last'),
      ],
      mostBadges: 3,
    });
    const told = async () => (await listing()).listing.items.find(({ title }) => title === 'Avocet')?.badges;
    await change({ salePrice: 750, stock: 2 });
    expect((await told())!.map(({ words }) => words)).toEqual(['−25 %', 'Last 2']);
    await change({ stock: 0 });
    expect((await told())?.map(({ words }) => words) ?? ['gone']).toEqual(['Sold out']);
  });

  test('a part that stands twice and a badge without words are refused at their place', async () => {
    const twice = await setCards({ parts: ['title', 'title'] });
    expect(problem(twice).errors![0]).toMatchObject({ path: ['cards', 'parts', 1] });
    const wordless = await setCards({ badges: [{ ...freshBadge('bdg_aaaaaa', 'new'), words: ' ' }] });
    expect(problem(wordless).errors![0]).toMatchObject({
      path: ['cards', 'badges', 0, 'words'],
      message: 'A badge needs words.',
    });
  });
});

test('what is new ends by the clock alone, in what is kept of listings too, as it does for a shop that starts afresh', async () => {
  let now = Date.now();
  const running = await startServer(undefined, () => new Date(now));
  await addProduct(running, 'Avocet', 1_000);
  const { cards } = running.catalog.working.shop.settings;
  await running.call('PATCH', '/api/settings', {
    cards: { ...cards, badges: [{ ...freshBadge('bdg_aaaaaa', 'new'), days: 2 }] },
  });
  await running.call('POST', '/api/editions', {});
  const badges = async () => {
    const { items } = (await (await running.raw('/shop-api/listing')).json()) as { items: { badges: object[] }[] };
    return items[0]!.badges.length;
  };
  expect(await badges()).toBe(1);
  now += 40 * 3_600_000;
  expect(await badges()).toBe(1);
  now += 9 * 3_600_000;
  expect(await badges()).toBe(0);
  await running.close();
});

describe('listings', () => {
  const setListings = async (over: Partial<Settings['listings']>) =>
    set({ listings: { ...(await settings()).listings, ...over } });

  test('orders and page size are the seller’s, for all or for one group', async () => {
    const { id } = (await server.call<{ id: string }>('POST', '/api/categories', { name: 'Kites' })).body;
    await server.call('POST', `/api/categories/${id}/products`, { ids });
    await setListings({
      sorts: ['price-up', 'title'],
      own: [{ at: { kind: 'category', id }, sorts: ['price-down'], columns: 2, text: 'below', perPage: 8 }],
    });
    const all = (await listing()).listing;
    expect(all.items.map(({ title }) => title)).toEqual(['Avocet', 'Bittern', 'Curlew']);
    expect(all.sorts.map(({ key }) => key)).toEqual(['price-up', 'title']);
    const own = await listing('/c/kites');
    expect(own.listing.items.map(({ title }) => title)).toEqual(['Curlew', 'Bittern', 'Avocet']);
    expect(own.listing.layout).toMatchObject({ columns: 2, phoneColumns: 2 });
    expect([own.isTextBelow, own.listing.pageSize]).toEqual([true, 8]);
  });

  test('a filter that is hidden goes, unless an address has chosen it; others come in the order of the seller', async () => {
    for (const [i, name] of ['Tern', 'Alula', 'Tern'].entries()) {
      const { body } = await server.call<{ id: string }>('POST', '/api/brands', { name: i === 2 ? 'Third' : name });
      await server.call('PATCH', `/api/products/${ids[i]}`, {
        seen: Number.MAX_SAFE_INTEGER,
        fields: { brandId: body.id },
      });
    }
    const keys = async (path?: string) => (await listing(path)).listing.facets.map(({ key }) => key);
    expect(await keys()).toEqual(expect.arrayContaining(['brand', 'price']));
    await setListings({
      filters: [
        { key: 'price', shown: true, open: false, top: 8, as: 'list' },
        { key: 'brand', shown: false, open: true, top: 8, as: 'list' },
      ],
    });
    expect((await keys())[0]).toBe('price');
    expect(await keys()).not.toContain('brand');
    expect((await listing()).listing.facets[0]).toMatchObject({ folded: true });
    expect(await keys('/search?f.brand=tern')).toContain('brand');
    await setListings({ filtersAt: 'none' });
    expect(await keys()).toEqual([]);
  });

  test('where goods grow by a button, each press keeps those that were there', async () => {
    for (let i = 0; i < 8; i++) await addProduct(server, `Dunlin ${i}`, 4_000 + i);
    await setListings({ paging: 'more', perPage: 8, sorts: ['price-up'] });
    const first = (await listing()).listing.items.map(({ id }) => id);
    const second = (await listing('/search?page=2')).listing;
    expect(first).toHaveLength(8);
    expect(second.items.slice(0, 8).map(({ id }) => id)).toEqual(first);
    expect(second.items).toHaveLength(11);
    expect(await html('/search')).toContain('Show 3 more');
    expect(await html('/search?page=2')).not.toMatch(/Show \d+ more/);
  });

  test('the filters of a place are told with how well they divide its goods', async () => {
    const { body } = await server.call<{ total: number; filters: { key: string; gain: number }[] }>(
      'GET',
      '/api/filters',
    );
    expect(body.total).toBe(3);
    expect(body.filters[0]).toMatchObject({ key: 'price' });
    expect(body.filters[0]!.gain).toBeCloseTo(Math.log2(3));
  });
});

describe('product pages', () => {
  const setPage = async (over: Partial<Settings['productPage']>) =>
    set({ productPage: { ...(await settings()).productPage, ...over } });
  const orderOf = async (...words: string[]) => {
    const page = await html('/p/avocet');
    return words.map((word) => page.indexOf(word));
  };

  test('parts are moved, folded and hidden, for all or for one kind', async () => {
    await server.call('PATCH', `/api/products/${ids[0]}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { summary: 'Flies in a whisper', description: '<p>Sewn by hand</p>' },
    });
    expect(await product()).not.toHaveProperty('layout');
    const { parts } = (await settings()).productPage;
    const moved = [
      ...parts.filter(({ part }) => part === 'description').map((each) => ({ ...each, folded: true })),
      ...parts.filter(({ part }) => part !== 'description'),
    ];
    await setPage({ parts: moved });
    const [description, summary] = await orderOf('Sewn by hand', '<p class="mt-4 text-lg leading-relaxed');
    expect(description).toBeLessThan(summary!);
    expect(await html('/p/avocet')).toContain('About Avocet');
    const hidden = parts.map((each) => (each.part === 'summary' ? { ...each, shown: false } : each));
    await setPage({ own: [{ of: { kind: 'kind', id: 'physical' }, parts: hidden, gallery: 'pairs', stays: 'none' }] });
    expect(await product()).toMatchObject({ isOwn: true, layout: { gallery: 'pairs' } });
    expect(await html('/p/avocet')).not.toContain('<p class="mt-4 text-lg leading-relaxed');
  });

  test('what is promised stands on goods that are sent, not on downloads', async () => {
    await setPage({ deliveryWords: 'Sent within two days', trust: ['Mended for life'] });
    expect(await html('/p/avocet')).toMatch(
      /Sent within two days[\s\S]*Mended for life|Mended for life[\s\S]*Sent within/,
    );
    await server.call('PATCH', `/api/products/${ids[1]}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { kind: 'digital' },
    });
    expect(await product('bittern')).not.toHaveProperty('promises');
    expect(await product('bittern')).toMatchObject({ trust: ['Mended for life'] });
  });

  test('the title and the price cannot be hidden', async () => {
    const { parts } = (await settings()).productPage;
    const answer = await setPage({ parts: parts.map((each) => ({ ...each, shown: each.part !== 'choice' })) });
    expect(problem(answer).errors![0]).toMatchObject({
      path: ['productPage', 'parts'],
      message: 'Shoppers need the title and the price.',
    });
  });

  test('a hidden strip leads nowhere: what it showed is not met by it', async () => {
    const { parts } = (await settings()).productPage;
    await server.call('PATCH', `/api/products/${ids[0]}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { goesWith: { how: 'picked', ids: [ids[1]] } },
    });
    expect((await product()).strips.map(({ kind }) => kind)).toContain('goesWith');
    await setPage({ parts: parts.map((each) => ({ ...each, shown: each.part !== 'goesWith' })) });
    expect((await product()).strips.map(({ kind }) => kind)).not.toContain('goesWith');
  });
});

describe('the frame of the shop', () => {
  test('logo, icon, notice and links elsewhere stand on every page; on a closed shop the logo can be seen', async () => {
    const picture = { media: 'a'.repeat(32), width: 300, height: 100, alt: '', focus: { x: 0.5, y: 0.5 } };
    const { signs, contact } = await settings();
    await set({
      signs: { ...signs, logo: picture, logoHeight: 40 },
      notice: { text: 'Free delivery this week', link: { kind: 'address', url: '/search' } },
      contact: { ...contact, social: [{ name: 'Photos', url: 'https://photos.example/lark' }] },
    });
    const page = await html('/search');
    expect(page).toMatch(/<img src="\/media\/a{32}\/\d+\.webp" alt="Test kites" width="120" height="40"/);
    expect(page).toContain(`href="/media/${picture.media}/icon-180.png"`);
    expect(page).toContain(
      '<a href="/preview/search" class="underline underline-offset-4">Free delivery this week</a>',
    );
    expect(page).toContain('<a href="https://photos.example/lark"');
    await server.call('POST', '/api/editions', {});
    await server.call('PUT', '/api/opening', { isClosed: true });
    expect((await server.raw('/search')).status).toBe(503);
    // There is no such picture here, but asking for it is not refused at the door.
    expect((await server.raw(`/media/${picture.media}/160.webp`)).status).toBe(404);
    expect((await server.raw(`/media/${'b'.repeat(32)}/160.webp`)).status).toBe(503);
  });

  test('the review speaks of what changed in plain words', async () => {
    const now = await settings();
    await server.call('POST', '/api/editions', {});
    await set({
      notice: { text: 'Closed on Friday', link: null },
      cards: { ...now.cards, frame: 'portrait' },
      listings: { ...now.listings, perPage: 12 },
      productPage: { ...now.productPage, stays: 'none' },
      contact: { ...now.contact, city: 'Windhaven' },
    });
    const { body } = await server.call<{ changes: { fields: { label: string; before: string; after: string }[] }[] }>(
      'GET',
      '/api/review',
    );
    expect(
      body.changes.flatMap(({ fields }) => fields.map(({ label, before, after }) => [label, before, after])),
    ).toEqual([
      ['Notice', '', 'Closed on Friday'],
      ['Frame of pictures', 'square', 'portrait'],
      ['Listings: goods per page', '24', '12'],
      ['Product pages: stays in sight', 'the pictures', 'nothing'],
      ['Town', '', 'Windhaven'],
    ]);
  });
});
