import { written } from '../../core/history/done';
import type { Problem } from '../../contract/problem';
import { addProduct, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => void (server = await startServer()));
afterEach(() => server.close());

const call = <T = Record<string, unknown>>(method: string, path: string, body?: unknown) =>
  server.call<T>(method, path, body);
const latest = async () =>
  (await call<{ changes: { id: number; label: string }[] }>('GET', '/api/history?limit=1')).body.changes[0]!;
const takeBack = (id: number) => call<Problem>('POST', `/api/history/${id}/reverse`);

async function edit(id: string, fields: object): Promise<number> {
  const answer = await call('PATCH', `/api/products/${id}`, { seen: Number.MAX_SAFE_INTEGER, fields });
  expect(answer.status).toBe(200);
  return (await latest()).id;
}

describe('a change that cannot be taken back is refused in words that say what stands in the way', () => {
  test('a category, a tag or a brand that it needs was deleted since', async () => {
    const { id } = (await addProduct(server, 'Harrier')).product;
    for (const [kind, path, field] of [
      ['category', '/api/categories', 'categoryIds'],
      ['tag', '/api/tags', 'tagIds'],
    ] as const) {
      const made = (await call<{ id: string }>('POST', path, { name: `My ${kind}` })).body.id;
      await edit(id, { [field]: [made] });
      const change = await edit(id, { [field]: [] });
      await call('DELETE', kind === 'tag' ? `/api/named/tag/${made}` : `/api/categories/${made}?products=leave`);
      const refused = await takeBack(change);
      expect(refused.status).toBe(409);
      expect(refused.body.title).toBe(
        `This cannot be undone. The ${kind} “My ${kind}” was deleted since, and is needed for it.`,
      );
    }
    const brand = (await call<{ id: string }>('POST', '/api/brands', { name: 'Tern' })).body.id;
    await edit(id, { brandId: brand });
    const change = await edit(id, { brandId: null });
    await call('DELETE', `/api/named/brand/${brand}`);
    expect((await takeBack(change)).body.title).toMatch(/brand “Tern” was deleted since/);
  });

  test('the product itself is gone since', async () => {
    const { id } = (await addProduct(server, 'Harrier')).product;
    const tag = (await call<{ id: string }>('POST', '/api/tags', { name: 'Windy' })).body.id;
    await edit(id, { tagIds: [tag] });
    const change = await edit(id, { tagIds: [] });
    await call('DELETE', `/api/products/${id}`);
    const refused = await takeBack(change);
    expect(refused.status).toBe(409);
    expect(refused.body.title).toMatch(/product “Harrier” was deleted since/);
  });

  test('its address was taken since', async () => {
    const { id } = (await addProduct(server, 'Harrier')).product;
    const change = await edit(id, { slug: 'swift' });
    const other = (await addProduct(server, 'Merlin')).product.id;
    await edit(other, { slug: 'harrier' });
    const refused = await takeBack(change);
    expect(refused.status).toBe(409);
    expect(refused.body.title).toBe(
      'This cannot be undone. The product “Merlin” has the address “harrier” now. Change that first.',
    );
  });

  test('doing again what needs something that somebody else deleted', async () => {
    const { id } = (await addProduct(server, 'Harrier')).product;
    const tag = (await call<{ id: string }>('POST', '/api/tags', { name: 'Windy' })).body.id;
    await edit(id, { tagIds: [tag] });
    await call('POST', '/api/undo');
    server.catalog.journal.change(written('Deleted a tag'), server.catalog.actor('somebody-else'), () =>
      server.catalog.db.prepare(`DELETE FROM tag`).run(),
    );
    const refused = await call<Problem>('POST', '/api/redo');
    expect(refused.status).toBe(409);
    expect(refused.body.title).toMatch(/^This cannot be done again. The tag “Windy” was deleted since/);
  });

  test('a category that would stand below itself', async () => {
    const make = async (name: string, parentId: string | null = null) =>
      (await call<{ id: string }>('POST', '/api/categories', { name, parentId })).body.id;
    const outer = await make('Kites');
    const inner = await make('Deltas', outer);
    await call('PATCH', `/api/categories/${inner}`, { parentId: null });
    const change = (await latest()).id;
    await call('PATCH', `/api/categories/${outer}`, { parentId: inner });
    const refused = await takeBack(change);
    expect(refused.status).toBe(409);
    expect(refused.body.title).toMatch(/would stand below itself/);
    expect((await call('GET', '/api/groups')).status).toBe(200);
  });

  test('a category in which another stands now', async () => {
    const parent = (await call<{ id: string }>('POST', '/api/categories', { name: 'Kites' })).body.id;
    const change = (await latest()).id;
    await call('POST', '/api/categories', { name: 'Deltas', parentId: parent });
    const refused = await takeBack(change);
    expect(refused.status).toBe(409);
    expect(refused.body.title).toMatch(/Another category still needs the category/);
  });
});

test('a change that changes nothing is not kept', async () => {
  const { id } = (await addProduct(server, 'Harrier')).product;
  const before = await latest();
  const made = await call<{ id: string; rule: object }>('POST', '/api/collections', {
    name: 'Light',
    source: 'rule',
    rule: { match: 'all', of: [{ field: 'title', is: 'contains', value: 'x' }] },
  });
  const added = await latest();
  expect(added.id).toBeGreaterThan(before.id);
  // The same rule, written in another order of its keys.
  await call('PATCH', `/api/collections/${made.body.id}`, {
    rule: { of: [{ value: 'x', is: 'contains', field: 'title' }], match: 'all' },
  });
  await call('PATCH', `/api/products/${id}`, { seen: Number.MAX_SAFE_INTEGER, fields: { title: 'Harrier' } });
  await call('PATCH', '/api/settings', {});
  expect(await latest()).toEqual(added);
});

test('taking back what took a change back does that change again, from wherever it is asked', async () => {
  const { id } = (await addProduct(server, 'Harrier')).product;
  const change = await edit(id, { title: 'Swift' });
  const title = () => server.catalog.working.products.get(id)!.title;
  expect((await takeBack(change)).status).toBe(200);
  expect(title()).toBe('Harrier');
  const undo = (await latest()).id;
  expect((await takeBack(undo)).status).toBe(200);
  expect(title()).toBe('Swift');
  const redo = (await latest()).id;
  expect((await takeBack(undo)).body.title).toBe('This was taken back already.');
  expect((await takeBack(redo)).status).toBe(200);
  expect(title()).toBe('Harrier');
});
