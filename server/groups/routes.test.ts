import type { CategoryRow, Shelf } from '../../contract/groups';
import type { ProductAnswer } from '../../contract/product';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => void (server = await startServer()));
afterEach(() => server.close());

const category = async (name: string, parentId: string | null = null) =>
  (await server.call<CategoryRow>('POST', '/api/categories', { name, parentId })).body;
const product = async (id: string) => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body.product;

test('a deleted category hands its products to its parent, or lets them go, as chosen; undo brings all back', async () => {
  const kites = await category('Kites');
  const deltas = await category('Deltas', kites.id);
  const small = await category('Small', deltas.id);
  const made = await addProduct(server, 'Harrier');
  await server.call('POST', `/api/categories/${small.id}/products`, { ids: [made.product.id] });
  await server.call('DELETE', `/api/categories/${deltas.id}?products=toParent`);
  expect((await product(made.product.id)).categoryIds).toEqual([kites.id]);
  await server.call('POST', '/api/undo');
  expect((await product(made.product.id)).categoryIds).toEqual([small.id]);
  await server.call('DELETE', `/api/categories/${deltas.id}?products=leave`);
  expect((await product(made.product.id)).categoryIds).toEqual([]);
});

test('categories move with their branch, keep their order, and not into themselves', async () => {
  const [a, b, c] = [await category('A'), await category('B'), await category('C')];
  await server.call('PATCH', `/api/categories/${c.id}`, { parentId: null, place: 0 });
  const names = async () =>
    (await server.call<{ categories: CategoryRow[] }>('GET', '/api/groups')).body.categories.map(
      ({ name, level }) => name + level,
    );
  expect(await names()).toEqual(['C1', 'A1', 'B1']);
  await server.call('PATCH', `/api/categories/${b.id}`, { parentId: a.id });
  expect(await names()).toEqual(['C1', 'A1', 'B2']);
  const wrong = await server.call('PATCH', `/api/categories/${a.id}`, { parentId: b.id });
  expect(problem(wrong).errors).toEqual([{ path: ['parentId'], message: 'A category cannot move into itself.' }]);
});

test('a rule collection follows its goods; a deleted tag is told, in the rule and when saving', async () => {
  const made = await addProduct(server, 'Harrier', 2000);
  const tag = (await server.call<{ id: string }>('POST', '/api/tags', { name: 'Indoor' })).body;
  await server.call('PATCH', `/api/products/${made.product.id}`, { seen: made.revision, fields: { tagIds: [tag.id] } });
  const shelf = (await server.call<Shelf>('POST', '/api/collections', { name: 'Inside', source: 'rule' })).body;
  expect(shelf.total).toBe(0);
  const rule = { match: 'all', of: [{ field: 'tag', is: 'anyOf', value: [tag.id] }] };
  const filled = await server.call<Shelf>('PATCH', `/api/collections/${shelf.id}`, { rule });
  expect(filled.body).toMatchObject({ total: 1, sentence: 'every product where tag is Indoor', problems: [] });
  await server.call('DELETE', `/api/named/tag/${tag.id}`);
  const after = await server.call<Shelf>('GET', `/api/collections/${shelf.id}`);
  expect(after.body).toMatchObject({
    total: 0,
    problems: [{ path: [0], message: 'This tag was deleted. Choose another.' }],
  });
  const refused = await server.call('PATCH', `/api/collections/${shelf.id}`, { rule });
  expect(problem(refused).errors![0]).toMatchObject({
    path: ['rule', 'of', 0],
    message: expect.stringContaining('deleted'),
  });
});

test('trying a rule counts what each condition takes in, and an empty rule takes in nothing', async () => {
  await addProduct(server, 'Harrier', 2000);
  await addProduct(server, 'Wren', 900);
  const attempt = await server.call<{ total: number; parts: object[] }>('POST', '/api/rules/try', {
    rule: {
      match: 'all',
      of: [
        { field: 'price', is: 'below', value: 3000 },
        { field: 'title', is: 'contains', value: 'wren' },
      ],
    },
  });
  expect(attempt.body).toMatchObject({
    total: 1,
    parts: [
      { path: [0], soFar: 2, alone: 0 },
      { path: [1], soFar: 1, alone: 1 },
    ],
    nearMisses: { total: 1, goods: [{ title: 'Harrier', lacks: ['needs this: title contains “wren”'] }] },
  });
  const empty = await server.call<{ total: number }>('POST', '/api/rules/try', { rule: { match: 'all', of: [] } });
  expect(empty.body.total).toBe(0);
});

test('a picked collection keeps its order and refuses goods when it is filled by rule', async () => {
  const [a, b] = [await addProduct(server, 'A'), await addProduct(server, 'B')];
  const ids = [b.product.id, a.product.id];
  const shelf = (
    await server.call<Shelf>('POST', '/api/collections', { name: 'Picked', source: 'picked', picked: ids })
  ).body;
  expect(shelf.goods.map(({ title }) => title)).toEqual(['B', 'A']);
  const turned = await server.call<Shelf>('PATCH', `/api/collections/${shelf.id}`, { picked: ids.reverse() });
  expect(turned.body.goods.map(({ title }) => title)).toEqual(['A', 'B']);
  const rule = (await server.call<Shelf>('POST', '/api/collections', { name: 'Rule', source: 'rule' })).body;
  const refused = await server.call('POST', `/api/collections/${rule.id}/products`, { ids });
  expect(problem(refused).title).toContain('filled by rule');
});

test('a collection placed on the home page and in the menu is where shoppers find it', async () => {
  const made = await addProduct(server, 'Harrier');
  const shelf = (
    await server.call<Shelf>('POST', '/api/collections', { name: 'First', source: 'picked', picked: [made.product.id] })
  ).body;
  const { pages } = (await server.call<{ pages: { id: string }[] }>('GET', '/api/pages')).body;
  const strip = {
    id: null,
    kind: 'strip',
    title: 'First kites',
    source: { kind: 'collection', id: shelf.id },
    count: 4,
  };
  await server.call('PATCH', `/api/pages/${pages[0]!.id}`, { sections: [strip] });
  await server.call('PUT', '/api/menu', {
    items: [{ id: null, label: '', target: { kind: 'collection', id: shelf.id }, items: [] }],
  });
  expect((await server.call<ProductAnswer>('GET', `/api/products/${made.product.id}`)).body.places).toMatchObject([
    { kind: 'section', label: 'Home › First kites', position: 1 },
    { kind: 'collection', label: 'First' },
  ]);
  await server.call('POST', '/api/editions', {});
  const home = await (await server.raw('/')).text();
  expect(home).toContain('First kites');
  expect(home).toContain('href="/g/first"');
  expect(home).toContain('href="/p/harrier"');
  await server.call('DELETE', `/api/collections/${shelf.id}`);
  const menu = await server.call('PUT', '/api/menu', {
    items: [{ id: null, label: 'x', target: { kind: 'collection', id: shelf.id }, items: [] }],
  });
  expect(problem(menu).errors![0]!.path).toEqual(['items', 0, 'target']);
});
