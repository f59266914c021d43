import { written } from '../../core/history/done';
import type { Problem } from '../../contract/problem';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';
import { hostileRequests } from '../testing/hostile-requests';

let server: Harness;
beforeAll(async () => {
  server = await startServer();
  const { id } = (await addProduct(server, 'Harrier delta')).product;
  productId = id;
  await server.call('POST', '/api/editions', {});
});
afterAll(() => server.close());
let productId: string;

const headers = () => ({ Cookie: server.cookie, 'X-Dispona-Token': server.token, 'Content-Type': 'application/json' });

describe('a request that is made to keep the server busy is refused or answered as it should be', () => {
  test.each(hostileRequests.map((request) => [request.what, request] as const))('%s', async (_what, request) => {
    const { path, ...init } = request.make({ productId, headers: headers() });
    expect((await server.raw(path, init)).status).toBe(request.expected);
  });
});

describe('what shoppers type by chance is answered as a page', () => {
  test.each(['!', '-', '(', '“', '🪁', '%', '...'])('searching for %s', async (signs) => {
    for (const path of ['/search?q=', '/shop-api/listing?q='])
      expect((await server.raw(path + encodeURIComponent(signs))).status).toBe(200);
    expect((await server.raw(`/shop-api/listing?sort=match&q=${encodeURIComponent(signs)}`)).status).toBe(200);
  });

  test.each([
    ['/search?f.price=x..y', 400, 'Prices look like'],
    ['/search?page=0', 400, 'Pages go from'],
    ['/nothing/here/at/all', 404, 'There is nothing at this address'],
    ['/p/never-was', 404, 'no such product'],
    ['/p/%E0%A4%A', 400, 'cannot be read'],
  ])('%s is a page that says why', async (path, status, words) => {
    const response = await server.raw(path, { headers: { Accept: 'text/html' } });
    expect([response.status, response.headers.get('content-type')]).toEqual([
      status,
      expect.stringContaining('text/html'),
    ]);
    const html = await response.text();
    expect(html).toContain(words);
    expect(html).toContain('To the home page');
  });

  test('programs are told in problem details', async () => {
    const response = await server.raw('/shop-api/listing?page=0', { headers: { Accept: 'text/html' } });
    expect(response.headers.get('content-type')).toContain('application/problem+json');
    expect(((await response.json()) as Problem).errors).toHaveLength(1);
  });

  test('a slash at the end forwards, and never to another site', async () => {
    const response = await server.raw('/p/harrier-delta/?v=1');
    expect([response.status, response.headers.get('location')]).toEqual([301, '/p/harrier-delta?v=1']);
    expect(response.headers.get('cache-control')).toBe('no-cache');
    expect((await server.raw('//evil.example/')).status).toBe(404);
  });
});

describe('addresses over time', () => {
  test('what moved forwards without being kept, there and back; what is gone is gone', async () => {
    const own = await startServer();
    const { id } = (await addProduct(own, 'Merlin')).product;
    const put = async (slug: string) => {
      await own.call('PATCH', `/api/products/${id}`, { seen: Number.MAX_SAFE_INTEGER, fields: { slug } });
      await own.call('POST', '/api/editions', {});
    };
    await put('swift');
    await put('swallow');
    await put('swift');
    expect((await own.raw('/p/swift')).status).toBe(200);
    const moved = await own.raw('/p/swallow');
    expect([moved.status, moved.headers.get('location'), moved.headers.get('cache-control')]).toEqual([
      301,
      '/p/swift',
      'no-cache',
    ]);
    await own.call('DELETE', `/api/products/${id}`);
    expect((await own.raw('/p/swift')).status).toBe(200);
    await own.call('POST', '/api/editions', {});
    expect((await own.raw('/p/swift')).status).toBe(410);
    expect((await own.raw('/p/swallow')).status).toBe(410);
    expect((await own.raw('/p/never')).status).toBe(404);
    await own.close();
  });
});

describe('what cannot be is refused on the way in, and survived where it is stored', () => {
  test('a language that is none', async () => {
    expect((await server.call('PATCH', '/api/settings', { locale: 'xx_bad' })).status).toBe(422);
    server.catalog.journal.change(written('By hand'), server.catalog.actor(null), () =>
      server.catalog.db.prepare(`UPDATE setting SET value = json_set(value, '$.locale', 'xx_bad')`).run(),
    );
    await server.call('POST', '/api/editions', {});
    expect((await server.raw('/p/harrier-delta')).status).toBe(200);
  });

  test('a day farther away than any calendar', async () => {
    const rule = (value: number) => ({ match: 'all', of: [{ field: 'created', is: 'after', value }] });
    const made = await server.call<{ id: string }>('POST', '/api/collections', {
      name: 'Late',
      source: 'rule',
      rule: rule(1e9),
    });
    expect((await server.call('PATCH', `/api/collections/${made.body.id}`, { rule: rule(1e21) })).status).toBe(422);
    server.catalog.journal.change(written('By hand'), server.catalog.actor(null), () =>
      server.catalog.db
        .prepare(`UPDATE collection SET rule = ? WHERE id = ?`)
        .run(JSON.stringify(rule(1e21)), made.body.id),
    );
    expect((await server.call('GET', '/api/groups')).status).toBe(200);
    expect((await server.call('GET', '/api/review')).status).toBe(200);
  });

  test('a cell that spans the whole world', async () => {
    const description = '<table><tbody><tr><td colspan="1000000000" rowspan="2">a</td></tr></tbody></table>';
    await server.call('PATCH', `/api/products/${productId}`, {
      seen: Number.MAX_SAFE_INTEGER,
      fields: { description },
    });
    expect(server.catalog.working.products.get(productId)!.description).toContain('<td rowspan="2">a</td>');
  });
});

test('where one of several shapes would do, what is wrong is said at the field of the nearest', async () => {
  const made = await server.call<{ id: string }>('POST', '/api/offers', { name: 'Windy week' });
  const answer = await server.call('POST', `/api/offers/${made.body.id}/codes`, { count: null, uses: null, note: '' });
  expect(answer.status).toBe(422);
  expect(problem(answer).errors).toEqual([{ path: ['count'], message: 'Type how many.' }]);
});

test('why an upload is refused arrives, though the sender is slow and sends to the end', async () => {
  const chunk = new Uint8Array(64 * 1024);
  let sent = 0;
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      if (sent++ === 40) return controller.close();
      if (sent % 10 === 0) await new Promise((resolve) => setTimeout(resolve, 30));
      controller.enqueue(chunk);
    },
  });
  const response = await fetch(`${server.url}/api/products/${productId}/files?role=nothing`, {
    method: 'POST',
    headers: { ...headers(), 'Content-Type': 'multipart/form-data; boundary=x' },
    body,
    duplex: 'half',
  } as RequestInit);
  expect(response.status).toBe(422);
  expect(((await response.json()) as Problem).title).toBe('A file is a download, a sample or a manual.');
  expect(sent).toBe(41);
});

test('texts go out compressed where that is asked for, event streams at once', async () => {
  for (const path of ['/p/harrier-delta', '/api/openapi.json'])
    for (const encoding of ['br', 'gzip']) {
      const response = await server.raw(path, { headers: { 'Accept-Encoding': encoding } });
      expect([path, response.headers.get('content-encoding')]).toEqual([path, encoding]);
    }
});
