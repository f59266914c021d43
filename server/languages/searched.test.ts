import type { BroughtForward, ForwardRow, SearchedRow } from '../../contract/searched';
import { problem, startShop, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
beforeEach(async () => {
  server = await startShop({ 'Red tern': 2_000, Wren: 1_000 });
  await server.call('POST', '/api/editions', {});
});
afterEach(() => server.close());

const shopper = { 'User-Agent': 'Mozilla/5.0 Firefox', Accept: 'text/html' };
const open = async (path: string, headers: object = {}) => {
  const response = await server.raw(path, { headers: { ...shopper, ...headers } });
  return { status: response.status, to: response.headers.get('location') };
};
const searched = async () => (await server.call<{ rows: SearchedRow[] }>('GET', '/api/searched')).body.rows;
const forwards = async () => (await server.call<{ forwards: ForwardRow[] }>('GET', '/api/forwards')).body.forwards;
const missed = async () =>
  (
    await server.call<{ paths: { path: string; times: number; nearest: { label: string } | null }[] }>(
      'GET',
      '/api/missed',
    )
  ).body.paths;
const forward = (path: string, to: object | null) => server.call('PUT', '/api/forwards', { path, to });
const toAddress = (url: string) => ({ kind: 'address', url });
const putLive = () => server.call('POST', '/api/editions', {});

test('searches are counted with what was opened then, and nothing of who searched; robots are not', async () => {
  await open('/search?q=Red%20%20Tern');
  await open('/search?q=red+tern');
  await open('/search?q=albatross');
  await open('/search?q=ada%40example.com');
  await open('/search?q=0612345678');
  await open('/search?q=wren', { 'User-Agent': 'SomeBot/1.0 (crawler)' });
  await open('/p/red-tern', { Referer: `${server.url}/search?q=Red+Tern` });
  const rows = await searched();
  expect(rows.map(({ words, times, finds }) => [words, times, finds])).toEqual([
    ['red tern', 2, 1],
    ['albatross', 1, 0],
  ]);
  expect(rows[0]!.opened).toMatchObject([{ title: 'Red tern', times: 1 }]);
});

test('a search that finds nothing is mended: by a word that means the same, or by leading to a page', async () => {
  await open('/search?q=zaunk');
  expect((await searched())[0]).toMatchObject({ finds: 0 });
  await server.call('POST', '/api/searched/same', { locale: 'en', words: 'zaunk', as: 'wren' });
  expect((await searched())[0]).toMatchObject({ words: 'zaunk', finds: 1 });
  await server.call('POST', '/api/searched/lead', {
    locale: 'en',
    words: 'Zaunk',
    to: { kind: 'product', id: server.ids[1] },
  });
  expect(await open('/search?q=zaunk')).toMatchObject({ status: 200 });
  await putLive();
  expect(await open('/search?q=ZAUNK')).toEqual({ status: 302, to: '/p/wren' });
  await server.call('POST', '/api/searched/lead', { locale: 'en', words: 'zaunk', to: null });
  await putLive();
  expect((await open('/search?q=zaunk')).status).toBe(200);
});

test('a path of an older shop forwards to a thing, and goes on to it when that is renamed; gone for good is told so', async () => {
  await forward('/old/tern.html', toAddress('/p/red-tern'));
  await forward('/old/gull.html', null);
  expect((await open('/old/tern.html')).status).toBe(404);
  await putLive();
  expect(await open('/old/tern.html')).toEqual({ status: 301, to: '/p/red-tern' });
  expect((await open('/old/gull.html')).status).toBe(410);
  await server.call('PATCH', `/api/products/${server.ids[0]!}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { slug: 'tern-2' },
  });
  await putLive();
  expect(await open('/old/tern.html')).toEqual({ status: 301, to: '/p/tern-2' });
  expect(await open('/p/red-tern')).toEqual({ status: 301, to: '/p/tern-2' });
  expect((await forwards()).map(({ path, url, by, isFixed }) => [path, url, by, isFixed])).toEqual([
    ['/old/gull.html', null, 'hand', false],
    ['/old/tern.html', '/p/tern-2', 'hand', false],
    ['/p/red-tern', '/p/tern-2', 'renamed', true],
  ]);
});

test('chains are sent on once, and circles are refused at the field', async () => {
  await forward('/a', toAddress('/b'));
  await forward('/b', toAddress('/c'));
  const refused = await forward('/c', toAddress('/a'));
  expect([refused.status, problem(refused).errors![0]]).toMatchObject([
    422,
    { path: ['to'], message: 'This would lead back to itself.' },
  ]);
  await forward('/c', toAddress('/p/wren'));
  await putLive();
  expect(await open('/a')).toEqual({ status: 301, to: '/p/wren' });
  const page = await forward('/p/wren', toAddress('/a'));
  expect(problem(page).errors![0]).toMatchObject({
    path: ['path'],
    message: 'A page of the shop stands at this path.',
  });
});

test('what is asked for in vain is counted, with what is nearest; a forward ends it', async () => {
  await open('/shop/birds/red-tern.html');
  await open('/shop/birds/red-tern.html');
  await open('/p/nothing');
  await open('/wp-login.php', { 'User-Agent': 'python-requests/2' });
  const paths = await missed();
  expect(paths.map(({ path, times, nearest }) => [path, times, nearest?.label ?? null])).toEqual([
    ['/shop/birds/red-tern.html', 2, 'Red tern'],
    ['/p/nothing', 1, null],
  ]);
  await forward('/shop/birds/red-tern.html', toAddress('/p/red-tern'));
  await server.call('DELETE', '/api/missed', { path: '/p/nothing' });
  expect(await missed()).toEqual([]);
});

test('a table is compared before it is taken; what cannot be is told by its line, and one undo takes all back', async () => {
  const text =
    'Old;New\nhttps://old.example/a.html?x=1;/p/wren\n/b;\n/c;javascript:alert(1)\nno path;/p/wren\n/b;/p/wren\n/p/wren;/b\n';
  const { body } = await server.call<{ forwards: BroughtForward[] }>('POST', '/api/forwards/brought', { text });
  expect(body.forwards.map(({ path, what, label }) => [path, what, label])).toEqual([
    ['/a.html', 'new', 'Wren'],
    ['/b', 'new', 'gone for good'],
    ['/c', 'refused', 'javascript:alert(1)'],
    ['no path', 'refused', '/p/wren'],
    ['/b', 'refused', '/p/wren'],
    ['/p/wren', 'refused', '/b'],
  ]);
  const good = body.forwards.filter(({ what }) => what === 'new').map(({ path, to }) => ({ path, to }));
  expect((await server.call('POST', '/api/forwards/taken', { forwards: good })).body).toEqual({ taken: 2 });
  await server.call('POST', '/api/undo');
  expect(await forwards()).toEqual([]);
  const circle = [
    { path: '/x', to: toAddress('/y') },
    { path: '/y', to: toAddress('/x') },
  ];
  expect((await server.call('POST', '/api/forwards/taken', { forwards: circle })).body).toEqual({ taken: 0 });
});
