import type { Today } from '../../contract/today';
import { recordSales } from '../orders/sales';
import { problem, startShop, type Harness } from '../testing/harness';

const DAY = 86_400;
let server: Harness & { ids: string[] };
let now: Date;
beforeEach(async () => {
  now = new Date('2026-01-02T10:00:00Z');
  server = await startShop({ Tern: 2_000, Wren: 1_000, Crate: 3_000 }, () => now);
  await server.call('POST', '/api/editions', {});
});
afterEach(() => server.close());

const seen = Number.MAX_SAFE_INTEGER;
const today = async (days = 30) => (await server.call<Today>('GET', `/api/today?days=${days}`)).body;
const at = (date: string) => void (now = new Date(`${date}T10:00:00Z`));
const stock = async (id: string, pieces: number) => {
  const { variants } = server.catalog.working.products.get(id)!;
  await server.call('PATCH', `/api/products/${id}/variants`, {
    seen,
    changes: variants.map((variant) => ({ id: variant.id, fields: { stock: pieces, cost: 500 } })),
  });
};
const browser = { 'User-Agent': 'Mozilla/5.0 (X11; Linux) Firefox/140.0' };
const open = (path: string, headers: Record<string, string> = {}) =>
  server.raw(path, { headers: { ...browser, Accept: 'application/json', ...headers } });

test('visits are counted by day, with what they looked at; robots, the shop window and what is only foreseen are not', async () => {
  const inside = { Referer: `${server.url}/` };
  await open('/');
  await open('/p/tern', inside);
  await open('/p/tern', { Referer: 'https://elsewhere.example/' });
  await open('/p/wren', { 'X-Dispona-Foreseen': '1', ...inside });
  await open('/p/wren', { 'User-Agent': 'SomeBot/1.0 (crawler)' });
  await open('/preview/p/wren', { Cookie: server.cookie });
  await open('/nothing/here');
  const { visited, viewed, series } = await today();
  expect(visited).toEqual({ visits: 2, views: 3 });
  expect(viewed.map(({ title, times }) => [title, times])).toEqual([['Tern', 2]]);
  expect(series.at(-1)).toMatchObject({ day: '2026-01-02', visits: 2 });
  at('2026-01-10');
  expect((await today(7)).visited).toEqual({ visits: 0, views: 0 });
  expect((await today(7)).visitedBefore).toEqual({ visits: 2, views: 3 });
});

test('money is put down to where goods were opened: a page, a category, the search, other goods, or outside', async () => {
  const [tern] = server.ids as [string];
  const { id: category } = (
    await server.call<{ id: string }>('POST', '/api/categories', { name: 'Deltas', parentId: null })
  ).body;
  await server.call('PATCH', `/api/products/${tern}`, { seen: 999, fields: { categoryIds: [category] } });
  await server.call('POST', '/api/editions', {});
  const from = (path: string) => ({ Referer: `${server.url}${path}` });
  for (const path of ['/', '/c/deltas', '/c/deltas?sort=price', '/search?q=tern', '/p/wren', '/basket'])
    await open('/p/tern', from(path));
  await open('/p/tern');
  await open('/p/tern', { 'User-Agent': 'SomeBot/1.0 (crawler)', ...from('/') });
  const { places } = await today();
  expect(places.map(({ name, times }) => [name, times]).sort()).toEqual([
    ['Basket and other pages', 1],
    ['Deltas', 2],
    ['Home', 1],
    ['Links from outside', 1],
    ['Other goods: goes with, similar', 1],
    ['Search', 1],
  ]);
  await server.call('DELETE', `/api/categories/${category}?products=leave`);
  expect((await today()).places.map(({ name }) => name)).toContain('Something that is gone since');
});

test('what runs out soon is told with its spread, and what lies there with its value', async () => {
  const [tern, wren, crate] = server.ids as [string, string, string];
  // They have been there for long.
  server.catalog.journal.change({ did: 'settingsChanged' }, server.catalog.actor(null), () =>
    server.catalog.db.prepare(`UPDATE product SET created = '2025-06-01T00:00:00.000Z'`).run(),
  );
  await stock(tern, 12);
  await stock(wren, 400);
  await stock(crate, 7);
  const midnight = Math.floor(now.getTime() / 1_000 / DAY) * DAY;
  const daily = (productId: string, pieces: number) =>
    Array.from({ length: 80 }, (_, ago) => ({ productId, day: midnight - ago * DAY, pieces }));
  recordSales(server.catalog, [...daily(tern, 1), ...daily(wren, 1)]);
  const { runsOut, runsOutCount, slow, slowCount, slowValue } = await today();
  expect([runsOutCount, runsOut.map(({ title }) => title)]).toEqual([1, ['Tern']]);
  const [first] = runsOut;
  expect(first!.stock).toBe(12);
  expect(first!.early).toBeLessThan(first!.likely);
  expect(first!.likely).toBeGreaterThan(8);
  expect(first!.late).toBeLessThan(25);
  expect([slowCount, slowValue, slow.map(({ title, value }) => [title, value])]).toEqual([
    1,
    3_500,
    [['Crate', 3_500]],
  ]);
});

test('searches, loose ends and planned editions stand there with the rest', async () => {
  await open('/search?q=albatross');
  await open('/search?q=tern');
  await server.call('PATCH', `/api/products/${server.ids[0]!}`, { seen, fields: { title: 'Tern 2' } });
  await server.call('POST', '/api/planned-editions', { at: '2026-03-01T00:00:00Z', label: 'March' });
  const told = await today();
  expect(told.searched.map(({ words }) => words).sort()).toEqual(['albatross', 'tern']);
  expect(told.lost.map(({ words }) => words)).toEqual(['albatross']);
  expect(told.planned).toMatchObject([{ label: 'March', documents: 1, touched: 0 }]);
  expect(told.loose.total).toBeGreaterThan(0);
  expect(told.loose.checks.length).toBeGreaterThan(0);
  expect(told.series).toHaveLength(30);
});

test('what others changed is told until one has looked', async () => {
  expect((await today()).changed).toEqual([]);
  const { db, journal } = server.catalog;
  const columns = (db.pragma('table_info(user)') as { name: string }[]).map(({ name }) => name);
  const other: Record<string, string> = { id: `'u_ada'`, name: `'Ada'`, email: `'ada@example.com'` };
  db.exec(`INSERT INTO user (${columns.join()}) SELECT ${columns.map((name) => other[name] ?? name).join()} FROM user`);
  journal.change({ did: 'settingsChanged' }, { userId: 'u_ada', at: now.toISOString() }, () =>
    db.prepare(`UPDATE product SET title = 'Tern of another' WHERE id = ?`).run(server.ids[0]!),
  );
  expect((await today()).changed).toMatchObject([{ userName: 'Ada', label: 'Changed the settings of the shop' }]);
  await server.call('POST', '/api/today/looked');
  expect((await today()).changed).toEqual([]);
});

test('a period that cannot be is refused at its field', async () => {
  const refused = await server.call('GET', '/api/today?days=0');
  expect([refused.status, problem(refused).errors?.[0]?.path]).toEqual([422, ['days']]);
});

test('the goods are narrowed, sorted and told by what came of where they stand', async () => {
  const [tern, wren] = server.ids as [string, string];
  await stock(tern, 12);
  await stock(wren, 12);
  const midnight = Math.floor(now.getTime() / 1_000 / DAY) * DAY;
  recordSales(server.catalog, [{ productId: tern, day: midnight, pieces: 2 }]);
  for (let i = 0; i < 4; i++) await open('/p/tern');
  await open('/p/wren');
  server.catalog.writeCounts();
  const matching = async (field: string, is: string, value: number) =>
    (
      await server.call<{ ids: string[] }>('POST', '/api/goods/matching', {
        text: '',
        rule: { match: 'all', of: [{ field, is, value }] },
      })
    ).body.ids;
  expect(await matching('viewed', 'atLeast', 2)).toEqual([tern]);
  expect((await matching('viewed', 'atLeast', 1)).sort()).toEqual([tern, wren].sort());
  expect(await matching('conversion', 'above', 4_000)).toEqual([tern]);
  // Of what sold nothing, nobody knows when it runs out.
  expect(await matching('daysLeft', 'atMost', 700)).toEqual([tern]);
  // No collection can be filled by it: what it shows would change the answer.
  const { id } = (await server.call<{ id: string }>('POST', '/api/collections', { name: 'Seen', source: 'rule' })).body;
  const rule = { match: 'all', of: [{ field: 'viewed', is: 'atLeast', value: 2 }] };
  const refused = await server.call('PATCH', `/api/collections/${id}`, { rule });
  expect([refused.status, problem(refused).errors?.[0]?.message]).toEqual([
    422,
    expect.stringContaining('cannot ask where they show'),
  ]);
});
