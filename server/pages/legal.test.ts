import { startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

interface Legal {
  pages: { key: string; pageId: string | null; isAtFoot: boolean; blanks: string[] }[];
}
const legal = async () => (await server.call<Legal>('GET', '/api/legal')).body.pages;
const html = async (path: string) =>
  (await server.raw(`/preview${path}`, { headers: { Cookie: server.cookie } })).text();

test('legal pages are made and put at the foot in one step, filled as far as the settings say, and undone as one', async () => {
  expect((await legal()).every(({ pageId, isAtFoot }) => pageId === null && !isAtFoot)).toBe(true);
  await server.call('POST', '/api/legal', { pages: ['imprint', 'privacy'] });
  const made = (await legal()).filter(({ pageId }) => pageId !== null);
  expect(made.map(({ key, isAtFoot }) => [key, isAtFoot])).toEqual([
    ['imprint', true],
    ['privacy', true],
  ]);
  expect(made[0]!.blanks).toContain('Company');
  expect(await html('/page/imprint')).toContain('<mark>[Company]</mark>');
  const { body } = await server.call<{ contact: object }>('GET', '/api/settings');
  await server.call('PATCH', '/api/settings', { contact: { ...body.contact, company: 'Lark & Line <Ltd>' } });
  const filled = await html('/page/imprint');
  expect(filled).toContain('Lark &amp; Line &lt;Ltd&gt;');
  expect(filled).not.toContain('[Company]');
  await server.call('POST', '/api/undo');
  await server.call('POST', '/api/undo');
  expect((await legal()).every(({ pageId, isAtFoot }) => pageId === null && !isAtFoot)).toBe(true);
});

test('a page that is there is not made twice, only led to; asking again changes nothing', async () => {
  await server.call('POST', '/api/legal', { pages: ['terms'] });
  const { pageId } = (await legal()).find(({ key }) => key === 'terms')!;
  await server.call('PUT', '/api/menu', { footer: [] });
  await server.call('POST', '/api/legal', { pages: ['terms'] });
  const again = (await legal()).find(({ key }) => key === 'terms');
  expect(again).toMatchObject({ pageId, isAtFoot: true });
  const before = server.catalog.journal.history(1)[0]!.id;
  await server.call('POST', '/api/legal', { pages: ['terms'] });
  expect(server.catalog.journal.history(1)[0]!.id).toBe(before);
});

test('a domain can be had or not, says what to set, and is told to search engines once it is live', async () => {
  const ask = (name: string) =>
    server.call<{ isFree: boolean; instead: string[]; records: { isSet: boolean }[] }>(
      'GET',
      `/api/domain?name=${name}`,
    );
  const answers = await Promise.all(
    ['lark', 'line', 'kite', 'gust', 'loft', 'spar'].map((word) => ask(`${word}.example`)),
  );
  expect(new Set(answers.map(({ body }) => body.isFree))).toEqual(new Set([true, false]));
  for (const { body } of answers)
    expect(body.isFree ? body.instead : [...body.instead, 'one'].slice(0, 1)).toHaveLength(body.isFree ? 0 : 1);
  expect((await ask('no name')).status).toBe(422);
  await server.call('PATCH', '/api/settings', { domain: 'Kites.example' });
  expect((await ask('kites.example')).body.records.every(({ isSet }) => isSet)).toBe(true);
  await server.call('POST', '/api/editions', {});
  const page = await (await server.raw('/', { headers: { Host: 'evil.example' } })).text();
  expect(page).toContain('<link rel="canonical" href="https://kites.example/">');
  expect(await (await server.raw('/robots.txt')).text()).toContain('Sitemap: https://kites.example/sitemap.xml');
});
