import { addProduct, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
  await addProduct(server, 'Secret kite');
  await server.call('POST', '/api/editions', {});
});
afterEach(() => server.close());

const set = (body: object) =>
  server.call<{ isClosed: boolean; missing: { words: string }[] }>('PUT', '/api/opening', body);
const get = (path: string, headers: Record<string, string> = {}) =>
  server.raw(path, { headers: { Accept: 'text/html', ...headers } });
const comeIn = (password: string) =>
  server.raw('/come-in', { method: 'POST', body: new URLSearchParams({ password }), headers: { Accept: 'text/html' } });

const inside = [
  '/',
  '/search',
  '/p/secret-kite',
  '/shop-api/listing',
  '/shop-api/suggest?q=kite',
  '/sitemap.xml',
  '/robots.txt',
  '/files/p_1/f_1',
  '/nothing',
];

test('a closed shop gives nothing away, whatever is asked for, and says so to machines', async () => {
  await set({ isClosed: true, message: 'We move house.' });
  for (const path of [...inside, `/media/${'0'.repeat(32)}/480.webp`]) {
    const answer = await get(path);
    const text = await answer.text();
    expect([path, answer.status, answer.headers.get('x-robots-tag'), answer.headers.get('retry-after')]).toEqual([
      path,
      503,
      'noindex',
      '86400',
    ]);
    expect(text).not.toContain('ecret');
    expect(text).toContain('We move house.');
  }
  const json = await server.raw('/shop-api/listing', { headers: { Accept: 'application/json' } });
  expect([json.status, ((await json.json()) as { type: string }).type]).toEqual([503, 'urn:dispona:closed']);
  expect((await server.raw('/healthz')).status).toBe(200);
});

test('the people of the shop see it all the same, and opening it lets everybody in at once', async () => {
  await set({ isClosed: true });
  expect((await get('/p/secret-kite', { Cookie: server.cookie })).status).toBe(200);
  expect((await get('/preview', { Cookie: server.cookie })).status).toBe(200);
  await set({ isClosed: false });
  expect((await get('/p/secret-kite')).status).toBe(200);
});

test('visitors come in with the password, until there is another', async () => {
  await set({ isClosed: true, password: 'wind from the west' });
  const asked = await get('/');
  expect([asked.status, (await asked.text()).includes('name="password"')]).toEqual([401, true]);
  const wrong = await comeIn('wind');
  expect([
    wrong.status,
    wrong.headers.get('set-cookie'),
    (await wrong.text()).includes('That is not the password.'),
  ]).toEqual([401, null, true]);
  const right = await comeIn('wind from the west');
  expect([right.status, right.headers.get('location')]).toEqual([303, '/']);
  const cookie = right.headers.get('set-cookie')!;
  expect(cookie).toMatch(/HttpOnly/);
  const Cookie = cookie.split(';')[0]!;
  expect((await get('/p/secret-kite', { Cookie })).status).toBe(200);
  for (const forged of ['dispona_door=', 'dispona_door=AAAA', `${Cookie}A`])
    expect((await get('/', { Cookie: forged })).status).toBe(401);
  await set({ password: 'wind from the east' });
  expect((await get('/', { Cookie })).status).toBe(401);
});

test('guessing is slowed down', async () => {
  await set({ isClosed: true, password: 'wind from the west' });
  const answers = [];
  for (let i = 0; i < 21; i++) answers.push((await comeIn(`guess ${i}`)).status);
  expect(answers.at(-1)).toBe(429);
});

test('it tells what is still missing, and a short password is refused', async () => {
  const { body } = await set({ isClosed: true });
  expect(body.missing.map(({ words }) => words)).toEqual([
    'The home page is empty.',
    'The menu is empty.',
    'One product has no picture.',
  ]);
  expect((await set({ password: 'short' })).status).toBe(422);
  expect(body.isClosed).toBe(true);
});
