import type { ProductAnswer } from '../../contract/product';
import type { Edition, Held, PlannedEdition } from '../../contract/publishing';
import { problem, startShop, type Harness } from '../testing/harness';

let server: Harness & { ids: string[] };
let now: Date;
beforeEach(async () => {
  now = new Date('2026-05-04T10:00:00Z');
  server = await startShop({ Tern: 2_000, Wren: 1_000 }, () => now);
  await putLive();
});
afterEach(() => server.close());

const seen = Number.MAX_SAFE_INTEGER;
const tern = () => server.ids[0]!;
const wren = () => server.ids[1]!;
const edit = (id: string, fields: object) => server.call('PATCH', `/api/products/${id}`, { seen, fields });
const putLive = (body = {}) => server.call<Edition>('POST', '/api/editions', body);
const hold = (kind: string, key: string, held = true) =>
  server.call('PUT', '/api/review/held', { changes: [{ kind, key }], held });
interface Told {
  total: number;
  heldBack: number;
  changes: { key: string; kind: string; title: string; held: Held | null }[];
}
const review = async () => (await server.call<Told>('GET', '/api/review')).body;
const editions = async () =>
  (await server.call<{ editions: Edition[]; planned: PlannedEdition[] }>('GET', '/api/editions')).body;
const text = async (path: string) => (await server.raw(path, { headers: { cookie: server.cookie } })).text();
const titleAt = async (path: string) => /<h1[^>]*>([^<]*)/.exec(await text(path))?.[1];

test('what is held back stays in the work and out of the edition, until it is let go on', async () => {
  await edit(tern(), { title: 'Tern 2' });
  await edit(wren(), { title: 'Wren 2' });
  expect((await hold('product', tern())).status).toBe(200);
  expect(await review()).toMatchObject({ total: 2, heldBack: 1 });
  expect((await putLive()).status).toBe(200);
  expect([await titleAt('/p/tern'), await titleAt('/p/wren')]).toEqual(['Tern', 'Wren 2']);
  expect(await titleAt('/preview/p/tern')).toBe('Tern 2');
  // What is left is held back: there is nothing to put live.
  const refused = await putLive();
  expect([refused.status, problem(refused).errors?.[0]?.message]).toEqual([
    422,
    'Everything that changed is held back.',
  ]);
  server.restart();
  expect(await titleAt('/p/tern')).toBe('Tern');
  await hold('product', tern(), false);
  await putLive();
  expect(await titleAt('/p/tern')).toBe('Tern 2');
});

test('what was held back and taken back is another change when it comes again', async () => {
  await edit(tern(), { title: 'Tern 2' });
  await hold('product', tern());
  await server.call('POST', '/api/review/take-back', { kind: 'product', key: tern() });
  await edit(wren(), { title: 'Wren 2' });
  await putLive();
  await edit(tern(), { title: 'Tern 3' });
  expect(await review()).toMatchObject({ heldBack: 0, changes: [{ title: 'Tern 3', held: null }] });
});

test('what cannot go without it waits too, and says for what', async () => {
  const { id } = (await server.call<{ id: string }>('POST', '/api/categories', { name: 'Night kites' })).body;
  await edit(tern(), { categoryIds: [id] });
  await server.call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'category', id }, items: [] }],
  });
  await edit(wren(), { title: 'Wren 2' });
  await hold('category', id);
  const { changes } = await review();
  const why = Object.fromEntries(changes.map(({ kind, key, held }) => [kind === 'product' ? key : kind, held]));
  const waits = { by: 'waits', for: { kind: 'category', key: id, title: 'Night kites' } };
  expect(why).toEqual({ category: { by: 'hand' }, [tern()]: waits, menu: waits, [wren()]: null });
  await putLive();
  expect((await server.raw('/c/night-kites')).status).toBe(404);
  expect(await text('/')).not.toContain('Night kites');
  await hold('category', id, false);
  await putLive();
  expect(await text('/')).toContain('Night kites');
});

test('one thing is taken back to what is live; stock that was sold meanwhile is not, and undo brings the work again', async () => {
  const read = async () => (await server.call<ProductAnswer>('GET', `/api/products/${tern()}`)).body.product;
  const variant = (await read()).variants[0]!;
  await edit(tern(), { title: 'Tern 2', summary: 'Smaller.' });
  await edit(wren(), { title: 'Wren 2' });
  await server.call('PATCH', `/api/products/${tern()}/variants`, {
    seen,
    changes: [{ id: variant.id, fields: { stock: 3, price: 2_500 } }],
  });
  const back = await server.call('POST', '/api/review/take-back', { kind: 'product', key: tern() });
  expect([back.status, back.body]).toEqual([200, { title: 'Tern 2' }]);
  const product = await read();
  const [first] = product.variants;
  expect([product.title, product.summary, first!.price, first!.stock]).toEqual(['Tern', '', 2_000, 3]);
  expect((await review()).changes.map(({ title }) => title)).toEqual(['Wren 2']);
  const again = await server.call('POST', '/api/review/take-back', { kind: 'product', key: tern() });
  expect([again.status, problem(again).errors?.[0]?.message]).toEqual([422, 'This is as it is live already.']);
  await server.call('POST', '/api/undo');
  expect((await review()).changes.map(({ title }) => title).sort()).toEqual(['Tern 2', 'Wren 2']);
});

test('what was deleted comes back from the live edition; what its place needs is named where that is gone', async () => {
  const { id } = (await server.call<{ id: string }>('POST', '/api/collections', { name: 'Beach', source: 'picked' }))
    .body;
  await server.call('POST', `/api/collections/${id}/products`, { ids: [tern()] });
  await putLive();
  await server.call('DELETE', `/api/collections/${id}`);
  expect((await review()).changes).toMatchObject([{ title: 'Beach', what: 'gone' }]);
  expect((await server.call('POST', '/api/review/take-back', { kind: 'collection', key: id })).status).toBe(200);
  expect((await review()).total).toBe(0);
  expect(await titleAt('/preview/g/beach')).toBe('Beach');

  const night = (await server.call<{ id: string }>('POST', '/api/categories', { name: 'Night kites' })).body.id;
  await edit(wren(), { categoryIds: [night] });
  await putLive();
  await server.call('DELETE', `/api/categories/${night}?products=leave`);
  const refused = await server.call('POST', '/api/review/take-back', { kind: 'product', key: wren() });
  expect([refused.status, problem(refused).title]).toEqual([409, expect.stringContaining('“Night kites”')]);
  await server.call('POST', '/api/review/take-back', { kind: 'category', key: night });
  expect((await server.call('POST', '/api/review/take-back', { kind: 'product', key: wren() })).status).toBe(200);
  expect((await review()).total).toBe(0);
});

test('an edition is planned, seen, and goes live by itself; what changes meanwhile goes its own way', async () => {
  await edit(tern(), { title: 'Tern of May' });
  const late = await server.call('POST', '/api/planned-editions', { at: '2026-05-04T09:00:00Z' });
  expect([late.status, problem(late).errors?.[0]?.path]).toEqual([422, ['at']]);
  const planned = await server.call<PlannedEdition>('POST', '/api/planned-editions', {
    at: '2026-05-08T06:00:00+02:00',
    label: 'May',
  });
  expect(planned.body).toMatchObject({ at: '2026-05-08T04:00:00.000Z', label: 'May', documents: 1, touched: [] });
  expect(await titleAt(`/preview/edition/${planned.body.id}/p/tern`)).toBe('Tern of May');
  // A quick correction goes live before, without what is planned.
  await edit(wren(), { title: 'Wren 2' });
  await putLive();
  expect([await titleAt('/p/tern'), await titleAt('/p/wren')]).toEqual(['Tern', 'Wren 2']);
  await edit(tern(), { summary: 'A later thought.' });
  expect((await editions()).planned).toMatchObject([{ touched: [{ title: 'Tern of May' }] }]);
  expect((await review()).changes).toMatchObject([{ held: { by: 'planned', at: '2026-05-08T04:00:00.000Z' } }]);

  now = new Date('2026-05-08T03:59:00Z');
  expect(await titleAt('/p/tern')).toBe('Tern');
  now = new Date('2026-05-08T04:00:01Z');
  expect(await titleAt('/p/tern')).toBe('Tern of May');
  expect(await text('/p/tern')).not.toContain('A later thought.');
  const after = await editions();
  expect([after.planned, after.editions[0]!.label]).toEqual([[], 'May']);
  // What was thought of later is there to go on.
  expect((await review()).changes).toMatchObject([{ title: 'Tern of May', held: null }]);
  await putLive();
  expect(await text('/p/tern')).toContain('A later thought.');
});

test('a planned edition goes live at a start that comes later than its moment, and can be called off before', async () => {
  await edit(tern(), { title: 'Tern of May' });
  const { body: off } = await server.call<PlannedEdition>('POST', '/api/planned-editions', {
    at: '2026-05-08T04:00:00Z',
  });
  expect((await server.call('DELETE', `/api/planned-editions/${off.id}`)).status).toBe(200);
  expect((await server.call('DELETE', `/api/planned-editions/${off.id}`)).status).toBe(404);
  expect((await review()).changes).toMatchObject([{ held: null }]);
  await server.call('POST', '/api/planned-editions', { at: '2026-05-08T04:00:00Z' });
  now = new Date('2026-05-09T00:00:00Z');
  server.restart();
  expect(await titleAt('/p/tern')).toBe('Tern of May');
});

test('what is planned goes live although shoppers were sent back to an older edition meanwhile', async () => {
  await edit(wren(), { title: 'Wren 2' });
  await putLive();
  await edit(tern(), { title: 'Tern of May' });
  await server.call('POST', '/api/planned-editions', { at: '2026-05-08T04:00:00Z' });
  await server.call('POST', '/api/editions/1/live');
  expect([await titleAt('/p/tern'), await titleAt('/p/wren')]).toEqual(['Tern', 'Wren']);
  now = new Date('2026-05-08T04:00:01Z');
  // Only what it holds: it does not undo the going back.
  expect([await titleAt('/p/tern'), await titleAt('/p/wren')]).toEqual(['Tern of May', 'Wren']);
});

test('two editions are compared in the words of the review; one thing of an old one is brought back', async () => {
  await edit(tern(), { title: 'Tern 2', summary: 'Smaller.' });
  await edit(wren(), { title: 'Wren 2' });
  await putLive({ label: 'Second', note: 'Both were renamed.' });
  await edit(tern(), { title: 'Tern 3' });
  await putLive();
  expect((await editions()).editions.map(({ number, label, note }) => [number, label, note])).toEqual([
    [3, '', ''],
    [2, 'Second', 'Both were renamed.'],
    [1, '', ''],
  ]);
  const compared = await server.call<{ total: number; changes: { title: string; fields: { label: string }[] }[] }>(
    'GET',
    '/api/editions/1/changes?to=3',
  );
  expect(compared.body.changes.map(({ title, fields }) => [title, fields.map(({ label }) => label)]).sort()).toEqual([
    ['Tern 3', ['Title', 'Summary']],
    ['Wren 2', ['Title']],
  ]);
  expect((await server.call<{ total: number }>('GET', '/api/editions/2/changes')).body.total).toBe(1);
  expect(await titleAt('/preview/edition/1/p/tern')).toBe('Tern');

  const back = await server.call('POST', '/api/editions/1/bring-back', { kind: 'product', key: tern() });
  expect([back.status, back.body]).toEqual([200, { title: 'Tern' }]);
  expect(await titleAt('/preview/p/tern')).toBe('Tern');
  expect((await review()).total).toBe(1);
  const named = await server.call<Edition>('PATCH', '/api/editions/1', { label: 'As we began' });
  expect(named.body).toMatchObject({ label: 'As we began', note: '' });
  expect((await server.call('GET', '/api/editions/9/changes')).status).toBe(404);
});

test('an edition of then is seen as it was on a day: with the sales, offers and days of then, in every language', async () => {
  await server.call('POST', '/api/languages', { locale: 'de' });
  const { product } = (await server.call<ProductAnswer>('GET', `/api/products/${tern()}`)).body;
  const changes = [{ id: product.variants[0]!.id, fields: { salePrice: 1_500 } }];
  await server.call('PATCH', `/api/products/${tern()}/variants`, { seen, changes });
  await edit(tern(), { saleFrom: '2026-05-05T00:00:00Z', saleUntil: '2026-05-07T00:00:00Z' });
  await edit(wren(), { liveUntil: '2026-05-06T00:00:00Z' });
  await putLive();
  now = new Date('2026-05-12T10:00:00Z');
  await edit(tern(), { title: 'Tern of today' });
  await putLive();
  const status = async (path: string) => (await server.raw(path, { headers: { cookie: server.cookie } })).status;
  const during = '/preview/edition/2/on/2026-05-05T12:00Z';
  expect(await text(`${during}/p/tern`)).toContain('€15.00');
  expect(await text(`${during}/de/p/tern`)).toContain('15,00');
  expect(await titleAt(`${during}/p/tern`)).toBe('Tern');
  expect(await text(`${during}/search?q=wren`)).toContain(`${during}/p/wren`);
  expect(await text('/preview/edition/2/on/2026-05-08T12:00Z/p/tern')).not.toContain('€15.00');
  // The live edition, too, was another on a day before.
  expect(await text('/preview/edition/3/on/2026-05-05T12:00Z/search?q=wren')).toContain('/p/wren');
  expect(await text('/preview/edition/3/search?q=wren')).not.toContain('/p/wren');
  expect(await status('/preview/edition/3/on/never/p/wren')).toBe(404);
  expect(await text('/p/tern')).not.toContain('€15.00');
});

test('how many visits a change reaches follows from where its goods stand', async () => {
  expect((await server.call('GET', '/api/review/reach')).body).toEqual({ goods: 0, visits: 0 });
  await edit(tern(), { title: 'Tern 2' });
  const { body } = await server.call<{ goods: number; visits: number }>('GET', '/api/review/reach');
  expect(body.goods).toBe(1);
  expect(body.visits).toBeGreaterThan(0);
  expect(body.visits).toBeLessThanOrEqual(1);
});

test('old editions are let go of by a rule; what is left has what it had, and things go back to it', async () => {
  const titles: string[] = [];
  for (let day = 1; day <= 9; day++) {
    now = new Date(Date.UTC(2026, 4, 4 + day, 10));
    await edit(tern(), { title: `Tern ${day}` });
    // One is held back now and then, and one comes and goes.
    if (day % 3 === 0) await edit(wren(), { status: day === 6 ? 'live' : 'off' });
    await putLive({ note: day === 2 ? 'Worth keeping' : '' });
    titles.push(`Tern ${day}`);
  }
  now = new Date('2026-05-20T10:00:00Z');
  const shown = async (number: number) => {
    const pages = [];
    for (const path of ['/p/tern', '/p/wren']) pages.push(await titleAt(`/preview/edition/${number}${path}`));
    return pages;
  };
  const numbers = async () => (await editions()).editions.map(({ number }) => number);
  expect(await numbers()).toEqual([10, 9, 8, 7, 6, 5, 4, 3, 2, 1]);
  const before = new Map<number, unknown>();
  for (const number of await numbers()) before.set(number, await shown(number));
  const kept = await server.call<{ gone: number }>('PUT', '/api/editions/kept', { keep: { days: 1, then: 'week' } });
  // The first, the live one, the one with a note, and the last of each week.
  expect([kept.body.gone, await numbers()]).toEqual([6, [10, 7, 3, 1]]);
  for (const number of await numbers()) expect([number, await shown(number)]).toEqual([number, before.get(number)]);
  expect((await review()).total).toBe(0);
  server.restart();
  expect((await review()).total).toBe(0);
  expect(await titleAt('/p/tern')).toBe('Tern 9');
  await server.call('POST', '/api/editions/3/bring-back', { kind: 'product', key: tern() });
  expect(await titleAt('/preview/p/tern')).toBe('Tern 2');
  expect((await server.call('POST', '/api/editions/3/live')).status).toBe(200);
  expect(await titleAt('/p/tern')).toBe('Tern 2');
  const wrong = await server.call('PUT', '/api/editions/kept', { keep: { days: 0, then: 'week' } });
  expect([wrong.status, problem(wrong).errors?.[0]?.message]).toEqual([422, 'At least one day.']);
});
