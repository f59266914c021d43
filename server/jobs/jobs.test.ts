import type { Job } from '../../contract/bulk';
import { written } from '../../core/history/done';
import { differenceOf } from '../store/product-difference';
import { insertProduct, setVariants } from '../store/put-products';
import { readProducts } from '../store/products';
import { startServer, type Harness } from '../testing/harness';
import { CancelledError, doWork } from './work';

const MANY = 900;
const ids = Array.from({ length: MANY }, (_, i) => `p_${String(i).padStart(6, '0')}`);
const raise = { do: 'price', by: { how: 'percent', more: 1_000 }, rounding: null, floor: null };

let server: Harness;
beforeAll(async () => {
  server = await startServer();
  const { db, journal } = server.catalog;
  const template = (
    await server.call<{ product: { id: string } }>('POST', '/api/products', { title: 'Kite', price: 1_000 })
  ).body.product.id;
  const [product] = readProducts(db, [template]);
  journal.change(written('Filled the shop'), server.catalog.actor(null), () => {
    for (const [i, id] of ids.entries()) {
      insertProduct(db, id, { ...product!, title: `Kite ${i}`, slug: `kite-${i}`, status: 'live' }, product!.created);
      setVariants(db, id, [{ ...product!.variants[0]!, id: `v_${id.slice(2)}`, sku: `K-${i}` }]);
    }
  });
  await server.call('POST', '/api/editions', {});
});
afterAll(() => server.close());

const start = (request: object) => server.call<Job>('POST', '/api/bulk', { which: { ids }, request });
const jobs = async () => (await server.call<{ jobs: Job[] }>('GET', '/api/jobs')).body.jobs;
async function ended(id: string): Promise<Job> {
  for (;;) {
    const job = (await jobs()).find((each) => each.id === id)!;
    if (job.state !== 'running' && job.state !== 'waiting') return job;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
}
const prices = () => new Set(ids.map((id) => server.catalog.working.products.get(id)!.variants[0]!.price));
const storedPrices = () => new Set(readProducts(server.catalog.db, ids).map(({ variants }) => variants[0]!.price));

test('large work goes on by itself, is one change, and is in memory when it is told to be done', async () => {
  const { catalog } = server;
  const begun = await start(raise);
  expect(['waiting', 'running']).toContain(begun.body.state);
  const done = await ended(begun.body.id);
  expect(done).toMatchObject({
    state: 'done',
    done: MANY,
    total: MANY,
    outcome: 'Raised prices of 900 products by 10 %',
  });
  expect([prices(), storedPrices()]).toEqual([new Set([1_100]), new Set([1_100])]);
  expect(catalog.journal.history(1)[0]).toMatchObject({
    label: 'Raised prices of 900 products by 10 %',
    userName: 'Kim',
  });
  // Shoppers see it with the next edition, and not before.
  expect(catalog.live.shop.products.get(ids[0]!)!.variants[0]!.price).toBe(1_000);
  expect(catalog.working.changed.size).toBe(MANY);
});

test('a request that writes meanwhile waits and is answered, one that reads does not wait', async () => {
  const begun = await start({ do: 'supplier', name: 'Rods & Reels' });
  const read = server.call('GET', '/api/status');
  const write = server.call('PATCH', `/api/products/${ids[0]!}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { summary: 'Waits for its turn' },
  });
  expect((await read).status).toBe(200);
  expect((await write).status).toBe(200);
  expect((await ended(begun.body.id)).state).toBe('done');
  const [first] = readProducts(server.catalog.db, [ids[0]!]);
  expect(first).toMatchObject({ summary: 'Waits for its turn', supplier: 'Rods & Reels' });
  expect(server.catalog.working.products.get(ids[0]!)).toEqual(first);
});

test('a large change is taken back in a thread too, unless the same was changed since', async () => {
  const { journal } = server.catalog;
  const change = journal.history(10).find(({ label }) => label.startsWith('Raised prices'))!;
  const back = await server.call<{ label: string }>('POST', `/api/history/${change.id}/reverse`);
  expect([back.status, prices(), storedPrices()]).toEqual([200, new Set([1_000]), new Set([1_000])]);
  await server.call('POST', `/api/history/${change.id}/reverse`);
  expect(prices()).toEqual(new Set([1_100]));
  await server.call('PATCH', `/api/products/${ids[5]!}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: [{ id: `v_${ids[5]!.slice(2)}`, fields: { price: 4_200 } }],
  });
  const refused = await server.call<{ title: string }>('POST', `/api/history/${change.id}/reverse`);
  expect(refused.status).toBe(409);
  expect(refused.body.title).toContain('the same things were changed again later');
  expect(prices()).toEqual(new Set([1_100, 4_200]));
});

test('work that is stopped while it waits is never begun', async () => {
  const { journal } = server.catalog;
  const first = await start({ do: 'supplier', name: 'Tern & Tackle' });
  const second = await start({ do: 'status', status: 'off' });
  await server.call('POST', `/api/jobs/${second.body.id}/cancel`);
  expect(await ended(second.body.id)).toMatchObject({ state: 'cancelled', outcome: 'Stopped; nothing was changed' });
  expect((await ended(first.body.id)).state).toBe('done');
  expect(journal.history(1)[0]!.label).toBe('Changed the supplier of 900 products');
  expect(readProducts(server.catalog.db, ids).every(({ status }) => status === 'live')).toBe(true);
  expect((await server.call('POST', '/api/jobs/j_unknown/cancel')).status).toBe(404);
});

test('work that is stopped in the middle is taken back whole', () => {
  const { db, journal } = server.catalog;
  const latest = journal.latest;
  const before = readProducts(db, ids);
  const differences = before.map((product) => differenceOf(product, { ...product, supplier: 'Half of them' }));
  let looks = 0;
  const follow = { tell: jest.fn(), isCancelled: () => ++looks === 2 };
  const place = { db, journal, actor: server.catalog.actor(null) };
  const work = { what: 'put' as const, done: written('Half done'), differences };
  expect(() => doWork(work, place, follow)).toThrow(CancelledError);
  expect(follow.tell).toHaveBeenCalledWith(0, MANY);
  expect(readProducts(db, ids)).toEqual(before);
  expect(journal.latest).toBe(latest);
});
