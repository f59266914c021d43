import type { Page } from '../../core/model/page';
import type { ShopData } from '../../shop/data';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let shop: Harness;
beforeEach(async () => void (shop = await startServer()));
afterEach(() => shop.close());

const call = <T = Record<string, unknown>>(method: string, path: string, body?: unknown) =>
  shop.call<T>(method, path, body);
const post = async (path: string, body: object) => (await call<{ id: string }>('POST', path, body)).body.id;
const pages = () => [...shop.catalog.working.shop.pages.values()];
const home = () => pages().find((page) => page.home)!;
const goLive = () => call('POST', '/api/editions', {});
const data = async (path: string) =>
  (await (await shop.raw(path, { headers: { accept: 'application/json' } })).json()) as ShopData;

/** Puts a product on the shop, where everybody can see it. */
const live = async (title: string) => (await addProduct(shop, title)).product.id;

test('a page is drawn as it would be, with who stands where and why, and nothing is saved', async () => {
  const [a, b] = [await live('Harrier'), await live('Wren')];
  const strip = { kind: 'strip', title: 'Now', source: { kind: 'picked', ids: [a, b] }, count: 2 };
  const { status, body } = await call<{
    page: { sections: { title: string; items: { title: string }[] }[] };
    notes: { name: string; goods: { title: string; why: string }[]; skipped: { title: string; above: string }[] }[];
  }>('POST', `/api/pages/${home().id}/drawn`, {
    sections: [
      { ...strip, id: 's_000001', count: 1 },
      { ...strip, id: 's_000002', title: 'Then', skipAbove: true },
    ],
  });
  expect(status).toBe(200);
  expect(body.page.sections.map(({ items }) => items.map(({ title }) => title))).toEqual([['Harrier'], ['Wren']]);
  expect(body.notes[1]).toMatchObject({
    name: 'Then',
    goods: [{ title: 'Wren', why: 'picked' }],
    skipped: [{ title: 'Harrier', why: 'above', above: 'Now' }],
  });
  expect(home().sections).toEqual([]);
  expect((await call('GET', '/api/history')).body).not.toMatchObject({ changes: [{ label: /page/ }] });
});

test('texts of sections hold nothing that runs, whether they are drawn or saved', async () => {
  const html = '<p onclick="steal()">Hello<script>steal()</script> <a href="javascript:steal()">there</a></p>';
  const sections = [
    { id: 's_000001', kind: 'text', title: '', html },
    { id: 's_000002', kind: 'questions', title: '', questions: [{ question: 'Who?', html }] },
  ];
  const drawn = await call('POST', `/api/pages/${home().id}/drawn`, { sections });
  expect(JSON.stringify(drawn.body)).not.toContain('steal');
  expect(JSON.stringify(drawn.body)).toContain('Hello');
  await call('PATCH', `/api/pages/${home().id}`, { sections });
  expect(JSON.stringify(home().sections)).not.toContain('steal');
});

test.each([
  [{ kind: 'banner', slides: [] }, ['sections', 0, 'slides'], 'A banner shows at least one thing.'],
  [
    { kind: 'strip', title: '', source: null, count: 49 },
    ['sections', 0, 'count'],
    'A strip shows at most 48 products.',
  ],
  [
    {
      kind: 'banner',
      slides: [
        { title: '', text: '', buttons: [{ words: 'Go', to: { kind: 'address', url: 'javascript:alert(1)' } }] },
      ],
    },
    ['sections', 0, 'slides', 0, 'buttons', 0, 'to'],
    undefined,
  ],
  [
    { kind: 'tiles', title: '', targets: [], childrenOf: 'c_gone00' },
    ['sections', 0, 'childrenOf'],
    'The category of these tiles was deleted. Choose another.',
  ],
])('what cannot be is refused at its field: %j', async (section, path, message) => {
  const answer = await call('PATCH', `/api/pages/${home().id}`, { sections: [{ id: null, ...section }] });
  expect(answer.status).toBe(422);
  const [first] = problem(answer).errors!;
  expect(first!.path.slice(0, path.length)).toEqual(path);
  if (message) expect(first!.message).toBe(message);
});

test('a page begins as its pattern, is copied with sections of its own, and both are one undo away', async () => {
  const id = await post('/api/pages', { title: 'Beach week', pattern: 'landing' });
  const original = shop.catalog.working.shop.pages.get(id)!;
  expect(original.sections.map(({ kind }) => kind)).toEqual(['banner', 'strip', 'strip', 'quotes', 'subscribe']);
  const { body: copy } = await call<Page>('POST', `/api/pages/${id}/copy`, {});
  expect(copy).toMatchObject({ title: 'Beach week, copy', slug: 'beach-week-copy' });
  const bare = (page: Page) => page.sections.map((section) => ({ ...section, id: '' }));
  expect(bare(copy)).toEqual(bare(original));
  expect(copy.sections.some(({ id: each }) => original.sections.some((section) => section.id === each))).toBe(false);
  await call('POST', '/api/undo');
  await call('POST', '/api/undo');
  expect(pages()).toHaveLength(1);
});

test('a page says more of itself, all of it is kept, and shoppers meet it between its days', async () => {
  const id = await post('/api/pages', { title: 'Spring' });
  const fields = {
    showsTitle: true,
    metaTitle: 'Kites in spring',
    metaDescription: 'For the first warm days.',
    noindex: true,
    from: '2000-01-01T00:00:00.000Z',
    until: null,
  };
  expect((await call('PATCH', `/api/pages/${id}`, fields)).status).toBe(200);
  expect(shop.catalog.working.shop.pages.get(id)).toMatchObject(fields);
  await goLive();
  const html = await (await shop.raw('/page/spring')).text();
  expect(html).toContain('<title>Kites in spring</title>');
  expect(html).toContain('noindex');
  await call('PATCH', `/api/pages/${id}`, { until: '2001-01-01T00:00:00.000Z' });
  await goLive();
  expect((await shop.raw('/page/spring')).status).toBe(404);
});

test('sections stand around the listing of a group: those before the listing above, those after it below', async () => {
  const category = await post('/api/categories', { name: 'Workshops' });
  const id = await post('/api/pages', { title: 'Around the workshops' });
  const words = (title: string, section: string) => ({ id: section, kind: 'text', title, html: '<p>x</p>' });
  await call('PATCH', `/api/pages/${id}`, {
    standsOn: [{ kind: 'category', id: category }],
    sections: [
      words('Above', 's_000001'),
      { id: 's_000002', kind: 'listing', title: '', of: null },
      words('Below', 's_000003'),
    ],
  });
  await goLive();
  const { page } = await data('/c/workshops');
  const titles = (sections: object[]) => sections.map((section) => (section as { title: string }).title);
  if (page.kind !== 'listing') throw new Error('This is no listing.');
  expect([titles(page.above), titles(page.below)]).toEqual([['Above'], ['Below']]);
  // It has no address of its own.
  expect((await shop.raw('/page/around-the-workshops')).status).toBe(404);
});

test('a group that is merged into another takes its place in rules and lists of pages', async () => {
  const [windy, gusty] = [await post('/api/tags', { name: 'Windy' }), await post('/api/tags', { name: 'Gusty' })];
  const rule = (tag: string) => ({ match: 'all', of: [{ field: 'tag', is: 'anyOf', value: [tag] }] });
  await call('PATCH', `/api/pages/${home().id}`, {
    sections: [{ id: null, kind: 'strip', title: '', source: { kind: 'rule', rule: rule(gusty) }, count: 4 }],
  });
  const { body: uses } = await call<{ total: number }>('GET', `/api/uses/tag/${gusty}`);
  expect(uses.total).toBe(1);
  await call('POST', `/api/named/tag/${gusty}/merge`, { into: windy });
  expect(home().sections[0]).toMatchObject({ source: { rule: rule(windy) } });
});

test('a listing on a page is narrowed by the address of the page', async () => {
  await live('Harrier');
  await live('Wren');
  await call('PATCH', `/api/pages/${home().id}`, { sections: [{ id: null, kind: 'listing', title: '', of: null }] });
  await goLive();
  const found = async (path: string) => {
    const { page } = await data(path);
    const [section] = page.kind === 'page' ? page.page.sections : [];
    return section?.kind === 'listing' ? section.listing!.items.map(({ title }) => title) : undefined;
  };
  expect((await found('/?sort=title'))!).toEqual(['Harrier', 'Wren']);
  expect(await found('/?q=wren')).toEqual(['Wren']);
});

describe('those who want to hear from the shop', () => {
  const subscribe = (email: string) =>
    shop.raw('/shop-api/subscribers', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email, page: '/page/beach-week' }),
    });
  const list = async () =>
    (await call<{ items: { email: string; page: string }[] }>('GET', '/api/subscribers')).body.items;

  test('are kept once each, for the seller only, and survive undo', async () => {
    for (const email of ['kim@example.com', 'KIM@example.com', 'lee@example.com'])
      expect((await subscribe(email)).status).toBe(200);
    expect((await list()).map(({ email }) => email).sort()).toEqual(['kim@example.com', 'lee@example.com']);
    await post('/api/tags', { name: 'Windy' });
    await call('POST', '/api/undo');
    expect(await list()).toHaveLength(2);
    expect((await shop.raw('/api/subscribers', { headers: { cookie: '' } })).status).toBe(401);
  });

  test('what is no address is refused in words', async () => {
    const answer = await subscribe('not an address');
    expect(answer.status).toBe(422);
    expect(JSON.stringify(await answer.json())).toContain('This is not a mail address.');
    expect(await list()).toEqual([]);
  });
});

test('cards of products that were seen lately are of those that are live, in the order asked for', async () => {
  await live('Harrier');
  await live('Wren');
  await call('POST', '/api/products', { title: 'Draft', price: 100 });
  await goLive();
  const answer = await shop.raw('/shop-api/cards?slugs=wren,draft,nothing,harrier');
  const { items } = (await answer.json()) as { items: { title: string }[] };
  expect(items.map(({ title }) => title)).toEqual(['Wren', 'Harrier']);
});

test('a picture is taken in for a section, and what is none is refused', async () => {
  const upload = (bytes: BlobPart, type: string) => {
    const body = new FormData();
    body.append('files', new Blob([bytes], { type }), 'a.png');
    return call('POST', '/api/pages/pictures', body);
  };
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  const stored = await upload(png, 'image/png');
  expect(stored.status).toBe(200);
  expect(stored.body).toMatchObject({ media: expect.stringMatching(/^[0-9a-f]{32}$/) as string, width: 1, height: 1 });
  expect((await upload('no picture', 'image/png')).status).toBe(422);
});
