import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Rule } from '../../core/model/rule';
import { addProduct, startServer, type Harness } from '../testing/harness';
import { Catalog } from '../state/catalog';
import { recordSales } from './sales';

const DAY = 86_400;
let now: Date;
let server: Harness;
const ids: string[] = [];
beforeAll(async () => {
  now = new Date('2027-06-15T10:00:00Z');
  server = await startServer(undefined, () => now);
  for (const title of ['Harrier', 'Wren', 'Tern']) ids.push((await addProduct(server, title)).product.id);
  await server.call('POST', '/api/editions', {});
});
afterAll(() => server.close());

const today = () => Math.floor(now.getTime() / 1_000 / DAY) * DAY;
const sold = (value: number, days = 30): Rule => ({
  match: 'all',
  of: [{ field: `sold${days}`, is: 'atLeast', value }],
});
const found = async (rule: Rule) =>
  (await server.call<{ ids: string[] }>('POST', '/api/goods/matching', { text: '', rule })).body.ids.sort();

test('what was sold counts within its days, in the working copy and for shoppers, and is no change to undo', async () => {
  const before = server.catalog.journal.latest;
  recordSales(server.catalog, [
    { productId: ids[0]!, day: today(), pieces: 3 },
    { productId: ids[0]!, day: today() - 20 * DAY, pieces: 4 },
    { productId: ids[1]!, day: today() - 40 * DAY, pieces: 9 },
  ]);
  expect(await found(sold(7))).toEqual([ids[0]]);
  expect(await found(sold(3, 7))).toEqual([ids[0]]);
  expect(await found(sold(9, 60))).toEqual([ids[1]]);
  expect(server.catalog.live.shop.facts(ids[0]!)!.sold[30]).toBe(7);
  expect(server.catalog.journal.latest).toBe(before);
});

test('pieces of the same day add up', async () => {
  recordSales(server.catalog, [{ productId: ids[2]!, day: today(), pieces: 1 }]);
  recordSales(server.catalog, [{ productId: ids[2]!, day: today(), pieces: 2 }]);
  expect(server.catalog.working.shop.facts(ids[2]!)!.sold[7]).toBe(3);
});

test('a sale drops out of its days by time alone, the same in a catalog that is opened then', async () => {
  now = new Date(now.getTime() + 11 * DAY * 1_000);
  server.catalog.passTime();
  expect(await found(sold(7))).toEqual([]);
  expect(await found(sold(3))).toEqual([ids[0], ids[2]].sort());
  const folder = mkdtempSync(join(tmpdir(), 'dispona-sales-'));
  cpSync(server.folder, folder, { recursive: true });
  const opened = new Catalog(folder, () => now);
  for (const id of ids)
    expect(opened.working.shop.facts(id)!.sold).toEqual(server.catalog.working.shop.facts(id)!.sold);
  opened.close();
  rmSync(folder, { recursive: true, force: true });
});
