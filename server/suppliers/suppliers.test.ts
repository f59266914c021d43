import type { ProductAnswer } from '../../contract/product';
import type { ReorderLine, SupplyAnswer } from '../../contract/suppliers';
import type { OrderBody } from '../../core/model/shop-order';
import type { Supplier } from '../../core/model/supplier';
import { insertOrder } from '../store/shop-orders';
import { startShop, problem, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
let now: Date;
beforeEach(async () => {
  now = new Date('2027-03-01T10:00:00Z');
  server = await startShop({ Tern: 3900, Wren: 2400, Heron: 5900 }, () => now);
});
afterEach(() => server.close());

const product = async (id: string) => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body.product;
const add = async (name: string) => (await server.call<{ id: string }>('POST', '/api/suppliers', { name })).body.id;
const change = (id: string, body: object) => server.call<{ supplier: Supplier }>('PATCH', `/api/suppliers/${id}`, body);
const goods = async (id: string) =>
  (await server.call<{ goods: SupplyAnswer[] }>('GET', `/api/suppliers/${id}`)).body.goods;
const give = (id: string, productIds: string[], main = true) =>
  server.call('POST', `/api/suppliers/${id}/goods`, { productIds, main });
const setVariant = async (productId: string, fields: object) => {
  const { body } = await server.call<ProductAnswer>('GET', `/api/products/${productId}`);
  const changes = [{ id: body.product.variants[0]!.id, fields }];
  await server.call('PATCH', `/api/products/${productId}/variants`, { seen: body.revision, changes });
  return body.product.variants[0]!.id;
};

test('a name that goods tell becomes a supplier; another name is taken over by its goods, and undone with one step', async () => {
  const [tern] = server.ids as [string];
  await server.call('PATCH', `/api/products/${tern}`, { seen: 999, fields: { supplier: 'Windwerk' } });
  const before = await server.call<{ onlyNamed: unknown[] }>('GET', '/api/suppliers');
  expect(before.body.onlyNamed).toEqual([{ name: 'Windwerk', goods: 1 }]);
  const id = await add('windwerk');
  expect((await goods(id)).map(({ title }) => title)).toEqual(['Tern']);
  await change(id, { name: 'Windwerk Lofts', deliveryDays: 9 });
  expect((await product(tern)).supplier).toBe('Windwerk Lofts');
  await server.call('POST', '/api/undo');
  expect((await product(tern)).supplier).toBe('Windwerk');
});

test('what cannot be is refused at its field: a name twice, no mail address, half a day', async () => {
  const id = await add('Windwerk');
  const again = await server.call('POST', '/api/suppliers', { name: ' WINDWERK ' });
  expect(problem(again).errors).toEqual([expect.objectContaining({ path: ['name'] })]);
  for (const [field, value] of [
    ['email', 'mara at windwerk'],
    ['deliveryDays', 2.5],
    ['deliveryDays', -1],
    ['smallestOrder', -5],
  ] as const) {
    const refused = await change(id, { [field]: value });
    expect([refused.status, problem(refused).errors?.[0]?.path]).toEqual([422, [field]]);
  }
  expect((await change('su_gone', { note: 'x' })).status).toBe(404);
});

test('two people change a supplier: different fields both stay, the same one is told as a clash', async () => {
  const id = await add('Windwerk');
  await change(id, { phone: '1', was: { phone: '' } });
  expect((await change(id, { note: 'Closed in August', was: { note: '' } })).body.supplier).toMatchObject({
    phone: '1',
    note: 'Closed in August',
  });
  const clash = await change(id, { phone: '2', was: { phone: '' } });
  expect([clash.status, problem(clash).errors?.[0]]).toEqual([
    409,
    expect.objectContaining({ path: ['phone'], theirs: '1' }),
  ]);
});

test('goods have several suppliers: who is left keeps number and cost, who comes brings theirs', async () => {
  const [tern] = server.ids as [string];
  const [windwerk, loft] = [await add('Windwerk'), await add('Loft & Sons')];
  await give(windwerk, [tern]);
  const variant = await setVariant(tern, { cost: 1800, supplierNumber: 'W-7' });
  await give(loft, [tern], false);
  const supply = { number: 'LS 33', costs: [{ from: '2027-02-01', cost: 1650 }] };
  await server.call('PUT', `/api/suppliers/${loft}/supplies/${variant}`, supply);
  expect(await goods(loft)).toEqual([expect.objectContaining({ isMain: false, number: 'LS 33', cost: 1650 })]);
  expect((await product(tern)).variants[0]).toMatchObject({ cost: 1800, supplierNumber: 'W-7' });

  await give(loft, [tern], true);
  expect((await product(tern)).variants[0]).toMatchObject({ cost: 1650, supplierNumber: 'LS 33' });
  expect((await product(tern)).supplier).toBe('Loft & Sons');
  expect(await goods(windwerk)).toEqual([expect.objectContaining({ isMain: false, number: 'W-7', cost: 1800 })]);
  await server.call('POST', '/api/undo');
  expect((await product(tern)).variants[0]).toMatchObject({ cost: 1800, supplierNumber: 'W-7' });
});

test('an agreed cost comes into force on its day by itself, also when the shop was off; never over what was set since', async () => {
  const [tern] = server.ids as [string];
  const windwerk = await add('Windwerk');
  await give(windwerk, [tern]);
  const variant = await setVariant(tern, { cost: 1800 });
  const costs = [
    { from: '2027-03-09', cost: 2000 },
    { from: '2027-03-05', cost: 1900 },
  ];
  await server.call('PUT', `/api/suppliers/${windwerk}/supplies/${variant}`, { number: 'W-7', costs });
  const cost = async () => (await product(tern)).variants[0]!.cost;
  expect(await cost()).toBe(1800);
  now = new Date('2027-03-05T06:00:00Z');
  expect(await cost()).toBe(1900);
  await setVariant(tern, { cost: 1500 });
  now = new Date('2027-03-07T06:00:00Z');
  expect(await cost()).toBe(1500);
  now = new Date('2027-03-11T06:00:00Z');
  server.restart();
  expect(await cost()).toBe(2000);
  const labels = (await server.call<{ changes: { label: string }[] }>('GET', '/api/history')).body.changes;
  expect(labels[0]).toMatchObject({ label: 'Agreed costs of one variant came into force' });
});

test('a cost of a day that has passed holds at once; two costs of one day are refused', async () => {
  const [tern] = server.ids as [string];
  const windwerk = await add('Windwerk');
  await give(windwerk, [tern]);
  const variant = await setVariant(tern, { cost: 1800 });
  const put = (costs: object[]) =>
    server.call('PUT', `/api/suppliers/${windwerk}/supplies/${variant}`, { number: '', costs });
  await put([{ from: '2027-02-01', cost: 1700 }]);
  expect((await product(tern)).variants[0]!.cost).toBe(1700);
  const refused = await put([
    { from: '2027-02-01', cost: 1 },
    { from: '2027-02-01', cost: 2 },
  ]);
  expect([refused.status, problem(refused).errors?.[0]?.path]).toEqual([422, ['costs']]);
});

test('a deleted variant takes what suppliers have of it along, and undo brings both back', async () => {
  const [tern] = server.ids as [string];
  const loft = await add('Loft & Sons');
  await give(loft, [tern], false);
  await server.call('DELETE', `/api/products/${tern}`);
  expect(await goods(loft)).toEqual([]);
  await server.call('POST', '/api/undo');
  expect(await goods(loft)).toHaveLength(1);
});

test('a deleted supplier leaves goods that are ordered from nobody; undo brings all of it back', async () => {
  const [tern] = server.ids as [string];
  const loft = await add('Loft & Sons');
  await give(loft, [tern]);
  await server.call('DELETE', `/api/suppliers/${loft}`);
  expect((await product(tern)).supplier).toBe('');
  await server.call('POST', '/api/undo');
  expect((await product(tern)).supplier).toBe('Loft & Sons');
  expect(await goods(loft)).toHaveLength(1);
});

test('what is due is told first, with pieces; the order goes out as CSV in which nothing runs', async () => {
  const [tern, wren, heron] = server.ids as [string, string, string];
  const windwerk = await add('Windwerk');
  await give(windwerk, [tern, wren, heron]);
  const low = await setVariant(wren, { stock: 1, warnAt: 4, cost: 900, supplierNumber: '=1+1', sku: 'WR' });
  await setVariant(tern, { stock: 30 });
  const { lines } = (await server.call<{ lines: ReorderLine[] }>('GET', `/api/suppliers/${windwerk}/reorder`)).body;
  expect(lines.map(({ title, isDue, pieces }) => [title, isDue, pieces])).toEqual([
    ['Wren', true, 4],
    ['Tern', false, 0],
  ]);
  const file = await server.call<{ name: string; csv: string }>('POST', `/api/suppliers/${windwerk}/order-file`, {
    lines: [{ variantId: low, pieces: 6 }],
  });
  expect(file.body.name).toBe('order-windwerk-2027-03-01.csv');
  expect(file.body.csv).toContain("'=1+1,WR,Wren,,6,9.00,54.00");
  const foreign = await server.call('POST', `/api/suppliers/${windwerk}/order-file`, {
    lines: [{ variantId: 'v_none', pieces: 1 }],
  });
  expect(foreign.status).toBe(422);
});

test('what left the shelf in orders, alone and in bundles, tells how much to order; what was called off does not', async () => {
  const [tern, wren] = server.ids as [string, string];
  const windwerk = await add('Windwerk');
  await give(windwerk, [tern, wren]);
  await change(windwerk, { deliveryDays: 10 });
  const ternVariant = await setVariant(tern, { stock: 12 });
  const wrenVariant = await setVariant(wren, { stock: 12 });
  server.catalog.journal.change({ did: 'settingsChanged' }, server.catalog.actor(null), () =>
    server.catalog.db.prepare(`UPDATE product SET created = '2026-01-01T00:00:00.000Z'`).run(),
  );
  const takes = (variantId: string, quantity: number, each = 1) => ({
    quantity,
    takes: [{ productId: tern, variantId, quantity: each }],
  });
  const order = (ago: number, lines: object[], status: 'new' | 'cancelled' = 'new') =>
    insertOrder(server.catalog.db, {
      id: `r_${ago}${status}`,
      number: 1_001 + ago * 2 + Number(status === 'cancelled'),
      token: `t${ago}${status}`,
      attempt: `a${ago}${status}`,
      at: new Date(now.getTime() - ago * 86_400_000).toISOString(),
      shopper: 'ada@example.com',
      name: 'Ada',
      status,
      total: 0,
      body: { lines } as unknown as OrderBody,
    });
  // One a day alone, and one each second day as one of a pair in a bundle; of Wren only what was called off.
  for (let ago = 1; ago <= 60; ago++) {
    order(ago, ago % 2 ? [takes(ternVariant, 1)] : [takes(ternVariant, 1), takes(ternVariant, 1, 2)]);
    order(ago, [takes(wrenVariant, 5)], 'cancelled');
  }
  const told = async (days: number) =>
    (await server.call<{ lines: ReorderLine[] }>('GET', `/api/suppliers/${windwerk}/reorder?days=${days}`)).body.lines;
  const [first, second] = (await told(30)) as [ReorderLine, ReorderLine];
  expect([first.title, first.isDue, second.title, second.isDue]).toEqual(['Tern', true, 'Wren', false]);
  // Two a day: forty days are eighty pieces, of which twelve are there, and some for bad luck.
  expect(first.pieces).toBeGreaterThan(55);
  expect(first.pieces).toBeLessThan(110);
  expect(second).toMatchObject({ pieces: 0, likely: null, weekly: 0 });
  expect((await told(90))[0]!.pieces).toBeGreaterThan(first.pieces);
});
