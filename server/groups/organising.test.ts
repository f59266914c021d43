import type { goodsRoutes } from '../../contract/goods';
import type { ProductAnswer } from '../../contract/product';
import type { CategoryRow, NamedRow, Shelf } from '../../contract/groups';
import type { AnswerOf } from '../../contract/route';
import type { ruleRoutes } from '../../contract/rules';
import type { groupRoutes } from '../../contract/groups';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
let now = Date.UTC(2027, 4, 1, 8);
beforeEach(async () => {
  now = Date.UTC(2027, 4, 1, 8);
  server = await startServer(undefined, () => new Date(now));
});
afterEach(() => server.close());

const made = async <T = { id: string }>(path: string, body: object) => (await server.call<T>('POST', path, body)).body;
const overview = async () => (await server.call<AnswerOf<typeof groupRoutes.overview>>('GET', '/api/groups')).body;
const product = async (id: string) => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body;
const change = async (id: string, fields: object) =>
  server.call('PATCH', `/api/products/${id}`, { seen: (await product(id)).revision, fields });
const shelfOf = async (id: string) => (await server.call<Shelf>('GET', `/api/collections/${id}`)).body;
const titles = ({ goods }: Pick<Shelf, 'goods'>) => goods.map(({ title }) => title);
const live = () => server.call('POST', '/api/editions', {});
const within = (id: string) => ({ match: 'all', of: [{ field: 'category', is: 'anyOf', value: [id] }] });

test('a merged category gives its goods, branch, rules, links and address to the other; undo brings it back', async () => {
  const [old, kept] = [
    await made('/api/categories', { name: 'Fliers' }),
    await made('/api/categories', { name: 'Kites' }),
  ];
  const below = await made('/api/categories', { name: 'Deltas', parentId: old.id });
  const kite = await addProduct(server, 'Harrier');
  await server.call('POST', `/api/categories/${old.id}/products`, { ids: [kite.product.id] });
  const shelf = await made<Shelf>('/api/collections', { name: 'All', source: 'rule', rule: within(old.id) });
  await server.call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'category', id: old.id }, items: [] }],
  });
  await live();
  expect((await server.call('POST', `/api/categories/${old.id}/merge`, { into: below.id })).status).toBe(422);
  await server.call('POST', `/api/categories/${old.id}/merge`, { into: kept.id });
  const { categories } = await overview();
  expect(categories.map(({ name, level, count, ways }) => [name, level, count, ways])).toEqual([
    ['Kites', 1, 1, ['Menu']],
    ['Deltas', 2, 0, ['Kites']],
  ]);
  expect((await product(kite.product.id)).product.categoryIds).toEqual([kept.id]);
  expect((await shelfOf(shelf.id)).sentence).toBe('every product where category is Kites');
  await live();
  const forwarded = await server.raw('/c/fliers');
  expect([forwarded.status, forwarded.headers.get('location')]).toEqual([301, '/c/kites']);
  await server.call('POST', '/api/undo');
  expect((await overview()).categories.map(({ name }) => name)).toEqual(['Fliers', 'Deltas', 'Kites']);
  expect((await shelfOf(shelf.id)).sentence).toBe('every product where category is Fliers');
});

test('goods of a deleted category go to another one that is chosen, which must not go too', async () => {
  const [gone, other] = [
    await made('/api/categories', { name: 'Gone' }),
    await made('/api/categories', { name: 'Other' }),
  ];
  const below = await made('/api/categories', { name: 'Below', parentId: gone.id });
  const kite = await addProduct(server, 'Harrier');
  await server.call('POST', `/api/categories/${below.id}/products`, { ids: [kite.product.id] });
  const wrong = await server.call('DELETE', `/api/categories/${gone.id}?products=toOther&other=${below.id}`);
  expect(problem(wrong).errors).toEqual([{ path: ['other'], message: 'This category goes too. Choose another.' }]);
  await server.call('DELETE', `/api/categories/${gone.id}?products=toOther&other=${other.id}`);
  expect((await product(kite.product.id)).product.categoryIds).toEqual([other.id]);
});

test('a category is put where it was typed, counts its own goods apart, and stands in the order of hand or key', async () => {
  const kites = await made('/api/categories', { name: 'Kites' });
  await made('/api/categories', { name: 'Line' });
  await made('/api/categories', { name: 'Tails', parentId: null, place: 1 });
  const deltas = await made('/api/categories', { name: 'Deltas', parentId: kites.id });
  const goods = [
    await addProduct(server, 'Cheap', 500),
    await addProduct(server, 'Dear', 900),
    await addProduct(server, 'Mid', 700),
  ];
  const ids = goods.map((each) => each.product.id);
  await server.call('POST', `/api/categories/${deltas.id}/products`, { ids });
  const rows = (await overview()).categories.map(({ name, count, own }) => [name, count, own]);
  expect(rows).toEqual([
    ['Kites', 3, 0],
    ['Deltas', 3, 3],
    ['Tails', 0, 0],
    ['Line', 0, 0],
  ]);
  await server.call('PATCH', `/api/categories/${deltas.id}`, {
    pins: [ids[2], 'p_gone000'],
    order: { keys: [{ by: 'price', down: true }], mix: 'none', soldOutLast: false },
  });
  const whole = (await server.call<AnswerOf<typeof groupRoutes.category>>('GET', `/api/categories/${deltas.id}`)).body;
  expect([titles(whole), whole.category.pins, whole.orderWords]).toEqual([
    ['Mid', 'Dear', 'Cheap'],
    [ids[2]],
    'price, highest first',
  ]);
  await live();
  const listing = (await server.call<{ items: { title: string }[] }>('GET', '/shop-api/listing?at=category:deltas'))
    .body;
  expect(listing.items.map(({ title }) => title)).toEqual(['Mid', 'Dear', 'Cheap']);
});

test('a category that is off takes its branch from the shop, its menu item and its tile, but no product', async () => {
  const kites = await made('/api/categories', { name: 'Kites' });
  const deltas = await made('/api/categories', { name: 'Deltas', parentId: kites.id });
  const kite = await addProduct(server, 'Harrier');
  await server.call('POST', `/api/categories/${deltas.id}/products`, { ids: [kite.product.id] });
  await server.call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'category', id: deltas.id }, items: [] }],
  });
  await live();
  expect((await server.raw('/c/deltas')).status).toBe(200);
  await server.call('PATCH', `/api/categories/${kites.id}`, { status: 'off' });
  await live();
  expect((await server.raw('/c/deltas')).status).toBe(404);
  expect((await server.call('GET', '/shop-api/listing?at=category:deltas')).status).toBe(404);
  const page = await (await server.raw('/p/harrier')).text();
  expect(page).not.toContain('href="/c/deltas"');
  expect(page).toContain('Harrier');
});

test('the order in a rule collection: pins, then keys; what is left out is out; sold out drops when stock goes to 0', async () => {
  const goods = [
    await addProduct(server, 'A', 300),
    await addProduct(server, 'B', 200),
    await addProduct(server, 'C', 100),
  ];
  const ids = goods.map((each) => each.product.id);
  const rule = { match: 'all', of: [{ field: 'stock', is: 'above', value: 0 }] };
  const shelf = await made<Shelf>('/api/collections', { name: 'In stock', source: 'rule', rule });
  const order = { keys: [{ by: 'price', down: false }], mix: 'none', soldOutLast: false };
  const path = `/api/collections/${shelf.id}`;
  const arranged = await server.call<Shelf>('PATCH', path, { order, pins: [ids[0]] });
  expect(titles(arranged.body)).toEqual(['A', 'C', 'B']);
  expect(titles((await server.call<Shelf>('PATCH', path, { leftOut: [ids[2], ids[0]] })).body)).toEqual(['B']);
  expect((await shelfOf(shelf.id)).pins).toEqual([]);
  await server.call('PATCH', path, { leftOut: [] });
  const { product: b, revision } = await product(ids[1]!);
  await server.call('PATCH', `/api/products/${b.id}/variants`, {
    seen: revision,
    changes: [{ id: b.variants[0]!.id, fields: { stock: 0 } }],
  });
  expect(titles(await shelfOf(shelf.id))).toEqual(['C', 'A']);
});

test('a collection is frozen into a list and filled by its rule again; a copy is a collection of its own', async () => {
  const kite = await addProduct(server, 'Harrier', 2000);
  const rule = { match: 'all', of: [{ field: 'price', is: 'below', value: 5000 }] };
  const shelf = await made<Shelf>('/api/collections', { name: 'Small', source: 'rule', rule });
  const frozen = await server.call<Shelf>('POST', `/api/collections/${shelf.id}/fill`, { source: 'picked' });
  expect([frozen.body.source, frozen.body.picked]).toEqual(['picked', [kite.product.id]]);
  await addProduct(server, 'Wren', 900);
  expect((await shelfOf(shelf.id)).total).toBe(1);
  expect((await server.call<Shelf>('POST', `/api/collections/${shelf.id}/fill`, { source: 'rule' })).body.total).toBe(
    2,
  );
  const copy = (await server.call<Shelf>('POST', `/api/collections/${shelf.id}/copy`)).body;
  expect([copy.name, copy.slug, copy.total]).toEqual(['Small (copy)', 'small-copy', 2]);
  await server.call('PUT', '/api/collections', { ids: [copy.id] });
  expect((await overview()).shelves.map(({ name }) => name)).toEqual(['Small (copy)', 'Small']);
});

test('days and sizes are checked at their field; a collection opens by the clock', async () => {
  const shelf = await made<Shelf>('/api/collections', { name: 'May', source: 'rule' });
  const path = `/api/collections/${shelf.id}`;
  const [from, until] = ['2027-05-01T09:00:00.000Z', '2027-05-02T09:00:00.000Z'];
  const wrong = await server.call('PATCH', path, { liveFrom: until, liveUntil: from });
  expect(problem(wrong).errors![0]!.path).toEqual(['liveUntil']);
  expect(problem(await server.call('PATCH', path, { fewest: 5, most: 3 })).errors![0]!.path).toEqual(['most']);
  expect(problem(await server.call('PATCH', path, { fewest: -1 })).errors![0]!.path).toEqual(['fewest']);
  const dated = await server.call<Shelf>('PATCH', path, { liveFrom: from, liveUntil: until, fewest: 2 });
  expect(dated.body).toMatchObject({ shownStatus: 'waiting', warning: 'It has no rule yet, so it takes in nothing.' });
  await live();
  const status = async () => (await server.raw('/g/may')).status;
  const seen = [await status()];
  for (const at of [from, until]) {
    now = Date.parse(at);
    seen.push(await status());
  }
  expect(seen).toEqual([404, 200, 404]);
});

test('a rule on another collection follows it, and one that would lead back is refused at its condition', async () => {
  const kite = await addProduct(server, 'Harrier', 2000);
  const asks = (id: string) => ({ match: 'all', of: [{ field: 'collection', is: 'anyOf', value: [id] }] });
  const first = await made<Shelf>('/api/collections', { name: 'First', source: 'picked', picked: [kite.product.id] });
  const second = await made<Shelf>('/api/collections', { name: 'Second', source: 'rule', rule: asks(first.id) });
  expect((await shelfOf(second.id)).total).toBe(1);
  const listed = await server.call<AnswerOf<typeof goodsRoutes.list>>('POST', '/api/goods/list', {});
  expect(listed.body.sections.find(({ key }) => key === 'collection')).toMatchObject({
    values: [
      { label: 'First', count: 1 },
      { label: 'Second', count: 1 },
    ],
  });
  const bundle = {
    slots: [
      { id: 'z_slot00', label: 'Kite', from: { how: 'rule', rule: asks(first.id) }, min: 1, max: 1, usual: null },
    ],
    pricing: { how: 'fixed' },
  };
  const set = await made<ProductAnswer>('/api/products', { title: 'Set', kind: 'bundle' });
  const slot = await server.call('PATCH', `/api/products/${set.product.id}`, {
    seen: set.revision,
    fields: { bundle },
  });
  expect(problem(slot).errors![0]!.message).toContain('cannot ask for a collection');
  await server.call('PATCH', `/api/collections/${first.id}`, { picked: [] });
  expect((await shelfOf(second.id)).total).toBe(0);
  const circle = await server.call('PATCH', `/api/collections/${first.id}`, { rule: asks(second.id) });
  expect(problem(circle).errors).toEqual([
    {
      path: ['rule', 'of', 0],
      message: '“Second” is filled from this collection, so this one cannot be filled from it.',
    },
  ]);
  await server.call('DELETE', `/api/collections/${first.id}`);
  expect((await shelfOf(second.id)).problems).toMatchObject([
    { message: 'This collection was deleted. Choose another.' },
  ]);
});

type Tried = AnswerOf<typeof ruleRoutes.try>;

test('a tried rule tells who joins and leaves against the live edition, near misses with what they lack, and drafts', async () => {
  const [a, b] = [await addProduct(server, 'A', 1000), await addProduct(server, 'B', 3000)];
  await made('/api/products', { title: 'C draft', price: 500 });
  const below = (value: number) => ({ match: 'all', of: [{ field: 'price', is: 'below', value }] });
  const shelf = await made<Shelf>('/api/collections', { name: 'Small', source: 'rule', rule: below(2000) });
  await live();
  const tried = await made<Tried>('/api/rules/try', {
    rule: { match: 'all', of: [{ field: 'price', is: 'above', value: 2000 }] },
    collectionId: shelf.id,
  });
  expect([tried.joins!.goods.map(({ id }) => id), tried.leaves!.goods.map(({ id }) => id)]).toEqual([
    [b.product.id],
    [a.product.id],
  ]);
  const near = (await made<Tried>('/api/rules/try', { rule: below(2000), collectionId: shelf.id })).nearMisses;
  expect(near.goods.map(({ title, lacks }) => [title, lacks]).sort()).toEqual([
    ['B', ['needs price below €20.00 (it is €30.00)']],
    ['C draft', ['a draft, not on the shop yet']],
  ]);
  const why = await made<AnswerOf<typeof ruleRoutes.why>>('/api/rules/why', {
    rule: below(2000),
    productId: a.product.id,
    leftOut: [a.product.id],
  });
  expect(why).toMatchObject({ isIn: true, although: 'left out by hand', reasons: [{ holds: true, actual: '€10.00' }] });
});

test('hostile and contradicting rules are answered: too deep, too many, nothing at all', async () => {
  let deep: object = { field: 'featured', is: 'yes', value: null };
  for (let i = 0; i < 15; i++) deep = { match: 'all', of: [deep] };
  expect((await server.call('POST', '/api/rules/try', { rule: { match: 'all', of: [deep] } })).status).toBe(422);
  let ten: object = { field: 'price', is: 'above', value: 0 };
  for (let i = 0; i < 9; i++) ten = { match: i % 2 ? 'any' : 'none', of: [ten] };
  expect((await server.call('POST', '/api/rules/try', { rule: { match: 'all', of: [ten] } })).status).toBe(200);
  const condition = { field: 'price', is: 'above', value: 0 };
  const rule = (count: number) => ({ match: 'all', of: Array.from({ length: count }, () => condition) });
  expect((await made<Tried>('/api/rules/try', { rule: rule(200) })).parts).toHaveLength(200);
  expect((await server.call('POST', '/api/rules/try', { rule: rule(201) })).status).toBe(422);
  await addProduct(server, 'A');
  const never = { match: 'all', of: [condition, { match: 'none', of: [condition] }] };
  expect((await made<Tried>('/api/rules/try', { rule: never })).total).toBe(0);
});

test('tags: renamed everywhere, merged with their rules, and near names told', async () => {
  const kite = await addProduct(server, 'Harrier');
  const [right, wrong] = [
    await made<NamedRow>('/api/tags', { name: 'Beginner' }),
    await made<NamedRow>('/api/tags', { name: 'begginer' }),
  ];
  await change(kite.product.id, { tagIds: [right.id, wrong.id] });
  const rule = { match: 'all', of: [{ field: 'tag', is: 'anyOf', value: [wrong.id] }] };
  const shelf = await made<Shelf>('/api/collections', { name: 'Easy', source: 'rule', rule });
  expect((await overview()).near).toEqual([{ kind: 'tag', a: expect.any(String), b: expect.any(String) }]);
  const taken = await server.call('PATCH', `/api/named/tag/${wrong.id}`, { name: 'BEGINNER' });
  expect(problem(taken).errors![0]).toMatchObject({ path: ['name'], message: expect.stringContaining('Merge') });
  expect((await server.call('POST', `/api/named/tag/${wrong.id}/merge`, { into: wrong.id })).status).toBe(422);
  const merged = await server.call<{ moved: number }>('POST', `/api/named/tag/${wrong.id}/merge`, { into: right.id });
  expect(merged.body.moved).toBe(1);
  expect((await product(kite.product.id)).product.tagIds).toEqual([right.id]);
  expect(await shelfOf(shelf.id)).toMatchObject({ total: 1, sentence: 'every product where tag is Beginner' });
  await server.call('PATCH', `/api/named/tag/${right.id}`, { name: 'First kite' });
  expect((await shelfOf(shelf.id)).sentence).toBe('every product where tag is First kite');
  await server.call('POST', '/api/undo');
  await server.call('POST', '/api/undo');
  expect((await overview()).tags.map(({ name, count }) => [name, count])).toEqual([
    ['begginer', 1],
    ['Beginner', 1],
  ]);
  expect((await server.call('PATCH', `/api/named/shelf/${right.id}`, {})).status).toBe(404);
});

test('a listed brand has a page with its text, linked from its products; one that is not has none', async () => {
  const kite = await addProduct(server, 'Harrier');
  const brand = await made<NamedRow>('/api/brands', { name: 'Alula' });
  await change(kite.product.id, { brandId: brand.id });
  await live();
  expect((await server.raw('/b/alula')).status).toBe(404);
  await server.call('PATCH', `/api/named/brand/${brand.id}`, {
    listed: true,
    text: 'Three sisters',
    metaTitle: 'Alula kites',
    slug: 'alula-kites',
  });
  await live();
  const page = await (await server.raw('/b/alula-kites')).text();
  expect(page).toContain('Three sisters');
  expect(page).toContain('<title>Alula kites</title>');
  expect(page).toContain('rel="canonical"');
  expect((await server.raw('/b/alula')).headers.get('location')).toBe('/b/alula-kites');
  expect(await (await server.raw('/p/harrier')).text()).toContain('href="/b/alula-kites"');
  const listing = await server.call<{ total: number }>('GET', '/shop-api/listing?at=brand:alula-kites');
  expect(listing.body.total).toBe(1);
});

test('a tag page without a text of its own is kept from search engines', async () => {
  const tag = await made<NamedRow>('/api/tags', { name: 'Night' });
  await server.call('PATCH', `/api/named/tag/${tag.id}`, { listed: true });
  await live();
  expect(await (await server.raw('/t/night')).text()).toContain('content="noindex"');
  await server.call('PATCH', `/api/named/tag/${tag.id}`, { text: 'What glows.' });
  await live();
  expect(await (await server.raw('/t/night')).text()).toContain('rel="canonical"');
});

test('a picture of a group is checked, shown, described and taken away', async () => {
  const kites = await made<CategoryRow>('/api/categories', { name: 'Kites' });
  const send = (content: BlobPart, name: string) => {
    const form = new FormData();
    form.append('files', new Blob([content]), name);
    return server.call('POST', `/api/groups/category/${kites.id}/picture`, form);
  };
  const refused = await send('not a picture', 'kite.png');
  expect(problem(refused).errors).toEqual([
    { path: ['files'], message: '“kite.png” has the name of a picture, but its content is not one.' },
  ]);
  const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><rect width="40" height="30"/></svg>';
  expect((await send(svg, 'kite.svg')).status).toBe(200);
  await server.call('PATCH', `/api/categories/${kites.id}`, { alt: 'A kite' });
  const { picture } = (await overview()).categories[0]!;
  expect(picture).toMatchObject({ width: 40, height: 30, alt: 'A kite' });
  await live();
  expect(await (await server.raw('/c/kites')).text()).toContain(picture!.media);
  await server.call('PATCH', `/api/categories/${kites.id}`, { picture: null });
  expect((await overview()).categories[0]!.picture).toBeNull();
});

test('what collections share, and goods in none, are told', async () => {
  const [a, b, c] = [await addProduct(server, 'A'), await addProduct(server, 'B'), await addProduct(server, 'C')];
  await made('/api/collections', { name: 'One', source: 'picked', picked: [a.product.id, b.product.id] });
  await made('/api/collections', { name: 'Two', source: 'picked', picked: [b.product.id] });
  const { pairs, spread, none, many } = (await server.call<AnswerOf<typeof groupRoutes.overlap>>('GET', '/api/overlap'))
    .body;
  expect(pairs).toEqual([{ a: 0, b: 1, shared: 1 }]);
  expect(spread).toEqual([1, 1, 1]);
  expect([none.map(({ id }) => id), many[0]]).toMatchObject([[c.product.id], { id: b.product.id, collections: 2 }]);
});

test('the review tells what becomes of groups: order, pins, status, days', async () => {
  const goods = [await addProduct(server, 'A', 300), await addProduct(server, 'B', 200)];
  const rule = { match: 'all', of: [{ field: 'price', is: 'above', value: 0 }] };
  const shelf = await made<Shelf>('/api/collections', { name: 'All', source: 'rule', rule });
  await live();
  await server.call('PATCH', `/api/collections/${shelf.id}`, { pins: [goods[0]!.product.id], status: 'off' });
  const { changes } = (await server.call<{ changes: { title: string; fields: object[] }[] }>('GET', '/api/review'))
    .body;
  expect(changes.find(({ title }) => title === 'All')!.fields).toEqual([
    { label: 'Pinned', before: '', after: 'A' },
    { label: 'Standing', before: 'on the shop', after: 'off the shop' },
  ]);
});
