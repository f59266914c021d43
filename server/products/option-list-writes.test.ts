import type { ProductAnswer } from '../../contract/product';
import type { OptionList } from '../../core/model/option-list';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const ALL = Number.MAX_SAFE_INTEGER;
const lists = async () =>
  (await server.call<{ lists: (OptionList & { products: number })[] }>('GET', '/api/option-lists')).body.lists;
const choice = (name: string, swatch: string | null = null) => ({ name, swatch });
const colours = { name: 'Colourway', choices: [choice('Ember', '#e4572e'), choice('Pine', '#0f6b5f')] };
const setOptions = (id: string, options: object[], more: object = {}) =>
  server.call<ProductAnswer>('PUT', `/api/products/${id}/options`, { seen: ALL, options, ...more });

async function kiteOf(listId: string, title: string) {
  const { product } = await addProduct(server, title);
  const values = colours.choices.map((each) => ({ id: null, ...each }));
  return (await setOptions(product.id, [{ id: null, name: 'Colourway', listId, values }])).body.product;
}
const get = async (id: string) => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body.product;
const namesOf = async (id: string) => (await get(id)).options[0]!.values.map(({ name, swatch }) => [name, swatch]);

test('renaming a value and another colour reach every product of the list, and one undo takes all back', async () => {
  const { id } = (await server.call<{ id: string }>('POST', '/api/option-lists', colours)).body;
  const [one, two] = [await kiteOf(id, 'One'), await kiteOf(id, 'Two')];
  expect(await lists()).toEqual([{ id, ...colours, products: 2 }]);
  const changed = await server.call('PUT', `/api/option-lists/${id}`, {
    name: 'Colourway',
    choices: [choice('Ember', '#ff0000'), choice('Forest', '#0f6b5f')],
    renamed: [{ from: 'Pine', to: 'Forest' }],
  });
  expect(changed.body).toEqual({ changed: 2 });
  for (const { id: product } of [one, two])
    expect(await namesOf(product)).toEqual([
      ['Ember', '#ff0000'],
      ['Forest', '#0f6b5f'],
    ]);
  await server.call('POST', '/api/undo');
  expect(await namesOf(one.id)).toEqual(colours.choices.map(({ name, swatch }) => [name, swatch]));
  expect((await lists())[0]!.choices).toEqual(colours.choices);
});

test('a new name that the option has already leaves that product as it is', async () => {
  const { id } = (await server.call<{ id: string }>('POST', '/api/option-lists', colours)).body;
  const kite = await kiteOf(id, 'One');
  const more = [...kite.options[0]!.values, { id: null, name: 'Forest', swatch: null }];
  await setOptions(kite.id, [{ ...kite.options[0]!, values: more }]);
  await server.call('PUT', `/api/option-lists/${id}`, {
    ...colours,
    choices: [choice('Ember', '#e4572e'), choice('Forest', null)],
    renamed: [{ from: 'Pine', to: 'Forest' }],
  });
  expect((await namesOf(kite.id)).map(([name]) => name)).toEqual(['Ember', 'Pine', 'Forest']);
});

test('lists that cannot be are refused at the field; deleting one leaves products their values', async () => {
  const { id } = (await server.call<{ id: string }>('POST', '/api/option-lists', colours)).body;
  const twice = await server.call('POST', '/api/option-lists', { name: 'Size', choices: [choice('S'), choice(' s ')] });
  expect(problem(twice).errors![0]).toMatchObject({ path: ['choices', 1, 'name'] });
  expect(problem(await server.call('POST', '/api/option-lists', colours)).errors![0]!.path).toEqual(['name']);
  const kite = await kiteOf(id, 'One');
  await server.call('DELETE', `/api/option-lists/${id}`);
  const after = await get(kite.id);
  expect(after.options[0]).toEqual({ ...kite.options[0], listId: null });
  await server.call('POST', '/api/undo');
  expect((await get(kite.id)).options[0]!.listId).toBe(id);
});

test('a value can be merged into another: no piece of stock is lost, and undo brings it back', async () => {
  const kite = await kiteOf((await server.call<{ id: string }>('POST', '/api/option-lists', colours)).body.id, 'One');
  const [ember, pine] = kite.options[0]!.values;
  const stock = [3, 4];
  await server.call('PATCH', `/api/products/${kite.id}/variants`, {
    seen: ALL,
    changes: kite.variants.map(({ id }, i) => ({ id, fields: { stock: stock[i], sku: `K-${i}` } })),
  });
  const options = [{ ...kite.options[0]!, values: [ember] }];
  const into = (from: string, to: string) => ({ merge: [{ from, into: to }], confirmed: true });
  const wrong = await setOptions(kite.id, options, into(ember!.id, pine!.id));
  expect(problem(wrong).errors![0]!.message).toMatch(/only be merged into one that stays/);
  const merged = (await setOptions(kite.id, options, into(pine!.id, ember!.id))).body.product;
  expect(merged.variants.map((variant) => [variant.stock, variant.sku])).toEqual([[7, 'K-0']]);
  await server.call('POST', '/api/undo');
  expect((await get(kite.id)).variants.map((variant) => variant.stock)).toEqual([3, 4]);
});

test('a picture can stand for a value, and goes from it with the picture', async () => {
  const { id } = (await server.call<{ id: string }>('POST', '/api/option-lists', colours)).body;
  const kite = await kiteOf(id, 'One');
  const form = new FormData();
  const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="800" height="800"><rect width="800" height="800"/></svg>';
  form.append('files', new Blob([svg]), 'cloth.svg');
  const pictures = (await server.call<ProductAnswer>('POST', `/api/products/${kite.id}/pictures`, form)).body.product
    .pictures;
  const pictureId = pictures[0]!.id;
  const [ember, pine] = kite.options[0]!.values;
  const set = await setOptions(kite.id, [{ ...kite.options[0]!, values: [{ ...ember!, pictureId }, pine] }]);
  expect(set.body.product.options[0]!.values[0]!.pictureId).toBe(pictureId);
  await server.call('PUT', `/api/products/${kite.id}/pictures`, { seen: ALL, pictures: [] });
  expect((await get(kite.id)).options[0]!.values[0]!.pictureId).toBeNull();
});
