import { addProduct, problem, startServer, type Harness } from '../testing/harness';
import type { ProductAnswer } from '../../contract/product';

let server: Harness;
beforeEach(async () => void (server = await startServer()));
afterEach(() => server.close());

const putLive = () => server.call<{ number: number }>('POST', '/api/editions', { label: 'Test' });
const listing = async (query = '') =>
  (await (await server.raw(`/shop-api/listing${query}`)).json()) as {
    total: number;
    items: { title: string; price: { min: number }; variantId: string; inStock: boolean }[];
    facets: { key: string; values: { value: string; count: number }[] }[];
  };

test('shoppers see an edition, never the working copy; going back restores it', async () => {
  const made = await addProduct(server, 'Harrier', 6400);
  expect((await server.raw('/p/harrier')).status).toBe(404);
  await putLive();
  expect((await server.raw('/p/harrier')).status).toBe(200);
  await server.call('PATCH', `/api/products/${made.product.id}/variants`, {
    seen: made.revision,
    changes: [{ id: made.product.variants[0]!.id, fields: { price: 100 } }],
  });
  expect((await listing()).items[0]!.price.min).toBe(6400);
  expect(await (await server.raw('/preview/p/harrier', { headers: { Cookie: server.cookie } })).text()).toContain(
    '€1.00',
  );
  const second = await putLive();
  expect((await listing()).items[0]!.price.min).toBe(100);
  expect((await server.call('POST', '/api/editions/1/live')).body).toMatchObject({
    number: second.body.number + 1,
    ofEdition: 1,
  });
  expect((await listing()).items[0]!.price.min).toBe(6400);
  expect((await server.call('GET', '/api/status')).body).toMatchObject({
    changes: 1,
    edition: second.body.number + 1,
  });
});

test('the review tells old and new, and undoing everything leaves nothing to put live', async () => {
  const made = await addProduct(server, 'Harrier', 6400);
  await putLive();
  const { id } = made.product;
  await server.call('PATCH', `/api/products/${id}`, { seen: made.revision, fields: { title: 'Harrier 180' } });
  await server.call('PATCH', `/api/products/${id}/variants`, {
    seen: made.revision,
    changes: [{ id: made.product.variants[0]!.id, fields: { price: 5800 } }],
  });
  const review = await server.call<{ changes: object[] }>('GET', '/api/review');
  expect(review.body.changes).toEqual([
    expect.objectContaining({
      what: 'changed',
      title: 'Harrier 180',
      fields: [
        { label: 'Title', before: 'Harrier', after: 'Harrier 180' },
        { label: 'Price', before: '€64.00', after: '€58.00' },
      ],
    }),
  ]);
  await server.call('POST', '/api/undo');
  await server.call('POST', '/api/undo');
  expect((await server.call('GET', '/api/status')).body).toMatchObject({ changes: 0 });
  expect((await server.call('POST', '/api/editions', {})).status).toBe(422);
});

test('stock is live: sold out at once, without a new edition', async () => {
  const made = await addProduct(server, 'Harrier');
  await putLive();
  const setStock = (stock: number) =>
    server.call('PATCH', `/api/products/${made.product.id}/variants`, {
      seen: 999_999,
      changes: [{ id: made.product.variants[0]!.id, fields: { stock } }],
    });
  await setStock(0);
  expect((await listing()).items[0]!.inStock).toBe(false);
  expect((await listing('?f.stock=in')).total).toBe(0);
  await setStock(2);
  expect((await listing('?f.stock=in')).total).toBe(1);
});

test('a listing is told again word for word, under the same tag, until the shop changes', async () => {
  await addProduct(server, 'Harrier');
  await putLive();
  const ask = async () => {
    const answer = await server.raw('/shop-api/listing');
    return { type: answer.headers.get('content-type'), tag: answer.headers.get('etag'), text: await answer.text() };
  };
  const first = await ask();
  expect(first).toMatchObject({ type: 'application/json; charset=utf-8', tag: expect.stringMatching(/^W\/"/) });
  expect(await ask()).toEqual(first);
  await addProduct(server, 'Petrel');
  await putLive();
  const changed = await ask();
  expect(changed.tag).not.toBe(first.tag);
  expect(changed.text).toContain('Petrel');
});

test('filters count exactly, and the card shows the variant that matched', async () => {
  const made = await addProduct(server, 'Harrier', 6400);
  const { body } = await server.call<ProductAnswer>('PUT', `/api/products/${made.product.id}/options`, {
    seen: made.revision,
    options: [
      {
        id: null,
        name: 'Colourway',
        values: [
          { id: null, name: 'Ember', swatch: '#e4572e' },
          { id: null, name: 'Pine', swatch: null },
        ],
      },
    ],
  });
  await addProduct(server, 'Wren', 1800);
  await putLive();
  const pine = await listing('?f.colourway=pine&f.price=20..100');
  expect(pine.items.map(({ title, variantId }) => [title, variantId])).toEqual([
    ['Harrier', body.product.variants[1]!.id],
  ]);
  expect(pine.facets.find(({ key }) => key === 'colourway')!.values).toMatchObject([
    { value: 'ember', count: 1 },
    { value: 'pine', count: 1 },
  ]);
  expect((await listing('?nonsense=1&f.moon=x')).total).toBe(2);
});

test.each(['page=-1', 'page=x', 'page=1e9', 'f.price=a..b', 'f.price=50..10', 'f.price=..', 'at=moon'])(
  'the impossible %s answers 400 with problem details',
  async (query) => {
    const answer = await server.raw(`/shop-api/listing?${query}`);
    expect([answer.status, answer.headers.get('content-type')]).toEqual([
      400,
      expect.stringContaining('application/problem+json'),
    ]);
  },
);

test('hostile addresses are answered, not crashed on', async () => {
  const long = 'x'.repeat(10_000);
  const paths = [
    `/search?q=${long}`,
    `/shop-api/listing?f.brand=${long}`,
    '/c/%E0%A4%A',
    '/media/..%2f..%2fetc/480.webp',
    '/p/a%00b',
    `/p/${long}`,
  ];
  for (const path of paths) expect((await server.raw(path)).status).toBeLessThan(500);
  expect((await server.raw('/healthz')).status).toBe(200);
});

test('an unknown product answers 404 and says so to a person and to a program', async () => {
  expect((await server.raw('/shop-api/products/none')).status).toBe(404);
  const page = await server.raw('/p/none');
  expect([page.status, await page.text()]).toEqual([404, expect.stringContaining('Nothing here')]);
});

test('openapi describes the public API', async () => {
  const { body } = await server.call<{ paths: Record<string, object> }>('GET', '/api/openapi.json');
  expect(Object.keys(body.paths)).toEqual(
    expect.arrayContaining(['/shop-api/listing', '/shop-api/products/{slug}', '/healthz']),
  );
});

describe('strangers', () => {
  test.each(['/api/goods/fields', '/api/review', '/api/events', '/preview/'])('may not read %s', async (path) =>
    expect((await server.raw(path)).status).toBe(401),
  );

  test('a write without the token of the page is refused', async () => {
    const headers = { Cookie: server.cookie, 'Content-Type': 'application/json' };
    const answer = await server.raw('/api/products', { method: 'POST', headers, body: '{"title":"x"}' });
    expect(answer.status).toBe(403);
  });

  test('a wrong password is told at the field, and too many tries have to wait', async () => {
    const tries = () =>
      server.raw('/api/session', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ email: 'kim@example.com', password: 'wrong' }),
      });
    expect(await (await tries()).json()).toMatchObject({ status: 422, errors: [{ path: ['password'] }] });
    const statuses = new Set<number>();
    for (let i = 0; i < 22; i++) statuses.add((await tries()).status);
    expect(statuses).toContain(429);
  });

  test('the shop is set up once', async () => {
    const answer = await server.call('POST', '/api/setup', {
      shopName: 'x',
      name: 'y',
      email: 'a@example.com',
      password: 'a kite over the bay',
    });
    expect([answer.status, problem(answer).title]).toEqual([422, expect.stringContaining('already')]);
  });

  test('pages come with a policy that lets no foreign script run', async () => {
    const policy = (await server.raw('/')).headers.get('content-security-policy')!;
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
  });
});

test('what only the seller knows stays his, even where the live shop shares documents with the working one', async () => {
  const { product } = await addProduct(server, 'Harrier', 6_400);
  const seen = Number.MAX_SAFE_INTEGER;
  const fields = { cost: 987_654, supplierNumber: 'secret-number', warnAt: 7_654_321, stock: 1_234_567 };
  const changes = product.variants.map(({ id }) => ({ id, fields }));
  await server.call('PATCH', `/api/products/${product.id}/variants`, { seen, changes });
  await server.call('PATCH', `/api/products/${product.id}`, { seen, fields: { supplier: 'secret supplier' } });
  await server.call('POST', '/api/editions', {});
  server.catalog.live.copyFrom(server.catalog.working.shop, []);
  for (const path of ['/p/harrier', '/search', '/shop-api/products/harrier', '/shop-api/listing?at=all']) {
    const text = await (await server.raw(path)).text();
    expect(text).toContain('Harrier');
    expect(text).not.toMatch(/987654|secret|7654321|1234567/);
  }
});
