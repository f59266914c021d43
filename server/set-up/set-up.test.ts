import type { SetUpStep } from '../../core/loose-ends/set-up-steps';
import { startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

interface List {
  steps: SetUpStep[];
  examples: number;
}
const list = async (method = 'GET', path = '/api/set-up', body?: object) =>
  (await server.call<List>(method, path, body)).body;
const states = ({ steps }: List) => Object.fromEntries(steps.map(({ key, state }) => [key, state]));

test('a new shop has everything before it but its name, and is closed until it is opened', async () => {
  const { steps } = await list();
  expect(steps.filter(({ state }) => state !== 'open')).toEqual([]);
  expect(steps.map(({ key }) => key).slice(0, 3)).toEqual(['name', 'product', 'picture']);
  await server.call('PATCH', '/api/settings', { tagline: 'Kites that fly' });
  expect(states(await list()).name).toBe('done');
});

test('each step is done by what is there, and open again when that goes', async () => {
  const made = await server.call<{ product: { id: string } }>('POST', '/api/products', { title: 'Tern', price: 0 });
  expect(states(await list())).toMatchObject({ product: 'done', price: 'open' });
  await server.call('POST', '/api/undo');
  expect(states(await list()).product).toBe('open');
  await server.call('POST', '/api/redo');
  const { id } = made.body.product;
  await server.call('PATCH', `/api/products/${id}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { status: 'live', priceOnRequest: true },
  });
  expect(states(await list()).price).toBe('done');
});

test('only what a shop can do without can be left as it is', async () => {
  const after = await list('PUT', '/api/set-up/skipped', { step: 'tax', isSkipped: true });
  expect(states(after).tax).toBe('skipped');
  expect(states(await list('PUT', '/api/set-up/skipped', { step: 'home', isSkipped: true })).home).toBe('open');
  expect(states(await list('PUT', '/api/set-up/skipped', { step: 'tax', isSkipped: false })).tax).toBe('open');
});

test('examples come and go in one step each, do not count as goods of the seller, and undo brings them back', async () => {
  const came = await list('POST', '/api/set-up/examples');
  expect(came.examples).toBe(6);
  expect(states(came)).toMatchObject({ product: 'open', picture: 'open' });
  // Asked for twice, they come once.
  expect((await list('POST', '/api/set-up/examples')).examples).toBe(6);
  const page = await (await server.raw('/preview/search', { headers: { Cookie: server.cookie } })).text();
  expect(page).toContain('Example: Morning delta');
  expect((await list('DELETE', '/api/set-up/examples')).examples).toBe(0);
  expect(server.catalog.working.shop.products.size).toBe(0);
  await server.call('POST', '/api/undo');
  expect((await list()).examples).toBe(6);
});

test('an example that was given another title is the seller’s own, counts as such, and stays', async () => {
  await list('POST', '/api/set-up/examples');
  const [first] = server.catalog.working.shop.products.values();
  await server.call('PATCH', `/api/products/${first!.id}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { title: 'Harrier delta' },
  });
  const after = await list();
  expect(after.examples).toBe(5);
  expect(states(after)).toMatchObject({ product: 'done', picture: 'done', price: 'done' });
  await list('DELETE', '/api/set-up/examples');
  expect([...server.catalog.working.shop.products.values()].map(({ title }) => title)).toEqual(['Harrier delta']);
});
