import type { ProductAnswer } from '../../contract/product';
import type { Slot } from '../../core/model/bundle';
import type { ListingView } from '../../core/storefront/views';
import type { ProductView } from '../../core/storefront/views';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

const ALL = Number.MAX_SAFE_INTEGER;
const patch = (id: string, fields: object, confirmed = false) =>
  server.call<ProductAnswer>('PATCH', `/api/products/${id}`, { seen: ALL, fields, confirmed });
const get = async (id: string) => (await server.call<ProductAnswer>('GET', `/api/products/${id}`)).body;
const stock = (answer: ProductAnswer, count: number) =>
  server.call('PATCH', `/api/products/${answer.product.id}/variants`, {
    seen: ALL,
    changes: answer.product.variants.map(({ id }) => ({ id, fields: { stock: count } })),
  });
const slot = (label: string, ids: string[], over: Partial<Slot> = {}): Slot => ({
  id: `z_${label.toLowerCase()}00000`,
  label,
  from: { how: 'picked', ids },
  min: 1,
  max: 1,
  usual: null,
  ...over,
});
const parts = { how: 'parts' as const, off: 1_000 };

async function set(slots: Slot[], title = 'Starter set') {
  const made = await addProduct(server, title, 5_000);
  const id = made.product.id;
  await patch(id, { kind: 'bundle' });
  return { id, answer: await patch(id, { bundle: { slots, pricing: parts } }) };
}

test('a bundle costs and has what its parts do, tells what runs out first, and follows them in both shops', async () => {
  const [kite, line] = [await addProduct(server, 'Kite', 4_000), await addProduct(server, 'Line', 1_000)];
  await stock(kite, 5);
  await stock(line, 4);
  const { id, answer } = await set([
    slot('Kite', [kite.product.id]),
    slot('Line', [line.product.id], { min: 2, max: 2 }),
  ]);
  expect(answer.body.bundle).toMatchObject({ price: { min: 5_400, max: 5_400 }, stock: 2, scarce: ['Line'] });
  await server.call('POST', '/api/editions', {});
  const shown = async () => (await (await server.raw('/shop-api/products/starter-set')).json()) as ProductView;
  const available = async () =>
    ((await (await server.raw('/shop-api/listing?at=all&f.stock=in')).json()) as ListingView).items.map(
      ({ title }) => title,
    );
  expect(await shown()).toMatchObject({ inStock: true, priceRange: { low: 5_400, high: 5_400 } });
  expect(await available()).toContain('Starter set');
  // Stock is live: no edition is needed for the bundle to be gone with its last part.
  await stock(line, 1);
  expect(await shown()).toMatchObject({ inStock: false });
  expect(await available()).not.toContain('Starter set');
  expect((await get(id)).bundle).toMatchObject({ stock: 0 });
  await server.call('POST', '/api/undo');
  expect((await get(id)).bundle).toMatchObject({ stock: 2 });
});

test('a price of a part changes what shoppers pay only with the next edition', async () => {
  const kite = await addProduct(server, 'Kite', 4_000);
  await set([slot('Kite', [kite.product.id])]);
  await server.call('POST', '/api/editions', {});
  const variants = kite.product.variants.map(({ id }) => ({ id, fields: { price: 6_000 } }));
  await server.call('PATCH', `/api/products/${kite.product.id}/variants`, { seen: ALL, changes: variants });
  const price = async (path: string) => {
    const page = await server.raw(path, { headers: { Accept: 'application/json', Cookie: server.cookie } });
    return ((await page.json()) as { page: { product: ProductView } }).page.product.priceRange.low;
  };
  expect([await price('/p/starter-set'), await price('/preview/p/starter-set')]).toEqual([3_600, 5_400]);
  const { changes } = (await server.call<{ changes: { title: string; fields: object[] }[] }>('GET', '/api/review'))
    .body;
  expect(changes.map(({ title }) => title).sort()).toEqual(['Kite', 'Starter set']);
  expect(changes.find(({ title }) => title === 'Starter set')!.fields).toEqual([
    { label: 'Price', before: '€36.00', after: '€54.00' },
  ]);
});

describe('what cannot be a bundle is refused in plain words', () => {
  test('one that holds itself or another bundle, in any order', async () => {
    const kite = await addProduct(server, 'Kite');
    const one = await set([slot('Kite', [kite.product.id])], 'One');
    const two = await set([slot('Set', [one.id])], 'Two');
    expect(problem(two.answer).errors![0]).toEqual({
      path: ['fields', 'bundle', 'slots', 0],
      message: 'Set: “One” is a bundle, and a bundle cannot stand in another.',
    });
    const itself = await patch(one.id, { bundle: { slots: [slot('Me', [one.id])], pricing: parts } });
    expect(problem(itself).errors![0]!.message).toBe('Me: a bundle cannot hold itself.');
    const inside = await patch(kite.product.id, { kind: 'bundle' });
    expect(problem(inside).errors![0]).toEqual({
      path: ['fields', 'kind'],
      message: 'It is part of “One”, and a bundle cannot stand in another.',
    });
  });

  test.each<[string, (kite: string) => Slot, RegExp]>([
    ['most below fewest', (kite) => slot('Kite', [kite], { min: 3, max: 2 }), /most cannot be below the fewest/],
    [
      'a first choice that is not offered',
      (kite) => slot('Kite', [kite], { usual: 'p_another0' }),
      /must be one of its/,
    ],
    ['a product that does not exist', () => slot('Kite', ['p_gone0000']), /was deleted/],
    ['no name', (kite) => ({ ...slot('Kite', [kite]), label: ' ' }), /needs a name/],
    [
      'a rule on a deleted tag',
      () =>
        slot('Kite', [], {
          from: { how: 'rule', rule: { match: 'all', of: [{ field: 'tag', is: 'anyOf', value: ['t_gone0000'] }] } },
        }),
      /deleted/,
    ],
  ])('%s', async (_name, make, message) => {
    const kite = await addProduct(server, 'Kite');
    const { id, answer } = await set([make(kite.product.id)]);
    expect(answer.status).toBe(422);
    expect(problem(answer).errors![0]!.message).toMatch(message);
    expect((await get(id)).product.bundle).toBeNull();
  });

  test('one with options; and a bundle that becomes something else says what it loses', async () => {
    const kite = await addProduct(server, 'Kite');
    const options = [{ id: null, name: 'Colour', values: [{ id: null, name: 'Red', swatch: null }] }];
    await server.call('PUT', `/api/products/${kite.product.id}/options`, { seen: ALL, options });
    expect(problem(await patch(kite.product.id, { kind: 'bundle' })).errors![0]!.message).toMatch(
      /options .* away first/,
    );
    const { id } = await set([slot('Kite', [kite.product.id])]);
    const bundled = await server.call('PUT', `/api/products/${id}/options`, { seen: ALL, options });
    expect(problem(bundled).errors![0]!.message).toMatch(/has no options/);
    expect(problem(await patch(id, { kind: 'physical' })).title).toBe('As a physical product, it loses what is in it.');
    expect((await patch(id, { kind: 'physical' }, true)).body.product.bundle).toBeNull();
  });
});

test('a copied bundle holds the same parts', async () => {
  const kite = await addProduct(server, 'Kite');
  const { id } = await set([slot('Kite', [kite.product.id])]);
  const copy = await server.call<ProductAnswer>('POST', `/api/products/${id}/copy`);
  expect(copy.body.product.bundle).toEqual((await get(id)).product.bundle);
});

test('a strip beside a product can be filled by a rule, and tells who it takes in', async () => {
  const [kite, line] = [await addProduct(server, 'Kite'), await addProduct(server, 'Line', 300)];
  const rule = { match: 'all', of: [{ field: 'price', is: 'below', value: 500 }] };
  expect((await patch(kite.product.id, { goesWith: { how: 'rule', rule } })).status).toBe(200);
  const page = await server.raw('/preview/p/kite', { headers: { Accept: 'application/json', Cookie: server.cookie } });
  const { strips } = ((await page.json()) as { page: { strips: { cards: { id: string }[] }[] } }).page;
  expect(strips[0]!.cards.map(({ id }) => id)).toEqual([line.product.id]);
  const bad = await patch(kite.product.id, { goesWith: { how: 'rule', rule: { match: 'all', of: [] } } });
  expect(problem(bad).errors![0]).toMatchObject({ path: ['fields', 'goesWith'] });
});
