import fc from 'fast-check';
import type { BulkRequest } from '../../core/bulk/bulk-actions';
import type { Job } from '../../contract/bulk';
import type { ProductAnswer } from '../../contract/product';
import type { Product } from '../../core/model/product';
import { readProducts } from '../store/products';
import { addProduct, problem, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => (server = await startServer()));
afterEach(() => server.close());

interface Preview {
  total: number;
  changing: number;
  failing: number;
  rows: {
    id: string;
    title: string;
    lines: { label: string; before: string; after: string }[];
    problem: string | null;
  }[];
}

const preview = (ids: string[], request: object) =>
  server.call<Preview>('POST', '/api/bulk/preview', { which: { ids }, request });
const run = (ids: string[], request: object) => server.call<Job>('POST', '/api/bulk', { which: { ids }, request });
const productOf = (id: string) => server.catalog.working.products.get(id)!;
const raise = {
  do: 'price',
  by: { how: 'percent', more: 400 },
  rounding: { step: 100, ending: 90, way: 'nearest' },
  floor: 1_000,
};

async function withVariant(title: string, price: number, fields: object): Promise<ProductAnswer> {
  const made = await addProduct(server, title, price);
  const [variant] = made.product.variants;
  const path = `/api/products/${made.product.id}/variants`;
  const changes = [{ id: variant!.id, fields }];
  return (await server.call<ProductAnswer>('PATCH', path, { seen: made.revision, changes })).body;
}

test('prices rise by a percentage to .90 and never below the floor: shown before, done as one change, undone', async () => {
  const cheap = await withVariant('Wren sled', 1_850, { cost: 1_700 });
  const usual = await withVariant('Harrier delta', 6_400, { cost: 2_000 });
  const onSale = await withVariant('Skua foil', 1_000, { salePrice: 980 });
  const ids = [cheap, usual, onSale].map(({ product }) => product.id);
  const shown = await preview(ids, raise);
  expect(shown.body).toMatchObject({ total: 3, changing: 3, failing: 0 });
  // 19.24 would become 18.90; cost 17.00 plus 10 % plus 21 % tax is 22.63, so the next .90 above.
  expect(shown.body.rows.map(({ lines }) => lines[0])).toEqual([
    { label: 'Price', before: '€18.50', after: '€22.90' },
    { label: 'Price', before: '€64.00', after: '€66.90' },
    { label: 'Price', before: '€10.00', after: '€10.90' },
  ]);
  expect(productOf(ids[0]!).variants[0]!.price).toBe(1_850);
  const done = await run(ids, raise);
  expect(done.body).toMatchObject({ state: 'done', outcome: 'Raised prices of 3 products by 4 %' });
  expect(ids.map((id) => productOf(id).variants[0]!.price)).toEqual([2_290, 6_690, 1_090]);
  await server.call('POST', '/api/undo');
  expect(ids.map((id) => productOf(id).variants[0]!.price)).toEqual([1_850, 6_400, 1_000]);
  const lower = { do: 'price', by: { how: 'amount', more: -50 }, rounding: null, floor: null };
  const refused = await preview(ids, lower);
  expect(refused.body).toMatchObject({ changing: 2, failing: 1 });
  expect(refused.body.rows[2]!.problem).toBe('its sale price of €9.80 would not be below');
});

test('the preview of any action is what the action does, and undo brings back exactly what was', async () => {
  const brand = (await server.call<{ id: string }>('POST', '/api/brands', { name: 'Alula' })).body.id;
  const tag = (await server.call<{ id: string }>('POST', '/api/tags', { name: 'Indoor' })).body.id;
  const category = (await server.call<{ id: string }>('POST', '/api/categories', { name: 'Kites', parentId: null }))
    .body.id;
  const ids: string[] = [];
  for (const [i, cost] of [null, 500, 900].entries())
    ids.push((await withVariant(`Kite ${i}`, 1_000 + i * 333, { cost, stock: i === 2 ? null : i * 4 })).product.id);
  const how = fc.constantFrom('add', 'remove', 'set');
  const rounding = fc.constantFrom(null, { step: 100, ending: 90, way: 'nearest' }, { step: 50, ending: 0, way: 'up' });
  const floor = fc.constantFrom(null, 0, 2_000);
  const request = fc.oneof(
    fc.record({
      do: fc.constant('price'),
      by: fc.oneof(
        fc.record({ how: fc.constant('percent'), more: fc.integer({ min: -5_000, max: 5_000 }) }),
        fc.record({ how: fc.constantFrom('margin', 'markUp'), share: fc.integer({ min: 0, max: 9_000 }) }),
        fc.record({ how: fc.constant('amount'), more: fc.integer({ min: -1_500, max: 1_500 }) }),
      ),
      rounding,
      floor,
    }),
    fc.record({
      do: fc.constant('sale'),
      off: fc.option(fc.integer({ min: 1, max: 9_500 })),
      from: fc.constant(null),
      until: fc.constantFrom(null, '2031-01-01T00:00:00.000Z'),
      rounding,
      floor,
    }),
    fc.record({ do: fc.constant('stock'), how: fc.constant('add'), pieces: fc.integer({ min: -9, max: 9 }) }),
    fc.record({ do: fc.constant('status'), status: fc.constantFrom('live', 'draft', 'off') }),
    fc.record({ do: fc.constant('tags'), how, ids: fc.constant([tag]) }),
    fc.record({ do: fc.constant('categories'), how, ids: fc.constant([category]) }),
    fc.record({ do: fc.constant('brand'), id: fc.constantFrom(null, brand) }),
    fc.record({ do: fc.constant('supplier'), name: fc.constantFrom('', 'Tern & Tackle') }),
    fc.record({ do: fc.constant('featured'), featured: fc.boolean() }),
    fc.record({ do: fc.constant('delivery'), weight: fc.option(fc.integer({ min: 1, max: 900 })) }),
    fc.record({ do: fc.constant('delete') }),
  ) as unknown as fc.Arbitrary<BulkRequest>;
  const state = () => readProducts(server.catalog.db, ids).sort((a, b) => (a.id < b.id ? -1 : 1));
  const money = (product: Product, of: 'price' | 'salePrice') => {
    const amount = product.variants[0]![of];
    return amount === null ? '' : `€${(amount / 100).toFixed(2)}`;
  };
  await fc.assert(
    fc.asyncProperty(fc.array(request, { minLength: 1, maxLength: 3 }), async (requests) => {
      const before = state();
      let changes = 0;
      for (const each of requests) {
        const was = state();
        const shown = (await preview(ids, each)).body;
        await run(ids, each);
        const is = new Map(state().map((product) => [product.id, product]));
        const changed = was.filter((product) => JSON.stringify(is.get(product.id)) !== JSON.stringify(product));
        expect(changed.length).toBe(shown.changing);
        if (shown.changing > 0) changes++;
        for (const row of shown.rows) {
          const product = is.get(row.id);
          for (const { label, after } of row.lines) {
            if (label === 'Price') expect(money(product!, 'price')).toBe(after);
            if (label === 'Sale price') expect(money(product!, 'salePrice')).toBe(after);
            if (label === 'Product') expect(product).toBeUndefined();
          }
          if (row.problem !== null) expect(product).toEqual(was.find(({ id }) => id === row.id));
        }
        expect(server.catalog.working.shop.products.size).toBe(is.size);
      }
      while (changes-- > 0) await server.call('POST', '/api/undo');
      expect(state()).toEqual(before);
    }),
    { numRuns: 60 },
  );
}, 60_000);

test('what matches a rule at that moment is meant, and a deleted brand is refused in plain words', async () => {
  await addProduct(server, 'Harrier delta', 6_400);
  await addProduct(server, 'Wren sled', 1_850);
  const rule = { match: 'all', of: [{ field: 'price', is: 'below', value: 5_000 }] };
  const which = { matching: { text: '', rule } };
  const request = { do: 'supplier', name: 'Tern & Tackle' };
  const done = await server.call<Job>('POST', '/api/bulk', { which, request });
  expect(done.body.outcome).toBe('Changed the supplier of one product');
  const gone = await server.call('POST', '/api/bulk', { which, request: { do: 'brand', id: 'b_000000000000' } });
  expect([gone.status, problem(gone).errors![0]!.message]).toEqual([422, 'This brand was deleted. Choose another.']);
  const none = await run(['p_000000000000'], request);
  expect(problem(none).errors![0]!.message).toBe('Pick at least one product.');
  const bad = await run(['p_000000000000'], { ...raise, floor: -1 });
  expect(bad.status).toBe(422);
});

test('featured products stand in the order they were put in, newly featured ones behind', async () => {
  const ids: string[] = [];
  for (const title of ['Anna', 'Bird', 'Cloud']) ids.push((await addProduct(server, title)).product.id);
  const [anna, bird, cloud] = ids as [string, string, string];
  const order = async () =>
    (await server.call<{ rows: { id: string }[] }>('GET', '/api/goods/featured')).body.rows.map(({ id }) => id);
  await server.call('POST', '/api/goods/featured', { ids: [bird], featured: true });
  await server.call('POST', '/api/goods/featured', { ids: [cloud], featured: true });
  const answer = (await server.call<ProductAnswer>('GET', `/api/products/${anna}`)).body;
  await server.call('PATCH', `/api/products/${anna}`, { seen: answer.revision, fields: { featured: true } });
  expect(await order()).toEqual([bird, cloud, anna]);
  await server.call('PUT', '/api/goods/featured', { ids: [anna, bird] });
  expect(await order()).toEqual([anna, bird, cloud]);
  const { index } = server.catalog.working.shop;
  expect(Array.from(index.order('featured')!.slots(), (slot) => index.id(slot))).toEqual([anna, bird, cloud]);
  await server.call('POST', '/api/goods/featured', { ids: [bird], featured: false });
  expect(await order()).toEqual([anna, cloud]);
});

test('a view is kept, counts what matches now, and its deletion can be undone', async () => {
  await addProduct(server, 'Harrier delta', 6_400);
  const rule = { match: 'all', of: [{ field: 'price', is: 'above', value: 5_000 }] };
  const kept = await server.call<{ id: string }>('POST', '/api/views', {
    name: 'Dear',
    text: '',
    rule,
    sort: '-price',
  });
  const views = async () =>
    (await server.call<{ views: { name: string; total: number }[] }>('GET', '/api/views')).body.views;
  expect(await views()).toMatchObject([{ name: 'Dear', total: 1 }]);
  await addProduct(server, 'Skua foil', 12_900);
  expect((await views())[0]!.total).toBe(2);
  await server.call('DELETE', `/api/views/${kept.body.id}`);
  expect(await views()).toEqual([]);
  await server.call('POST', '/api/undo');
  expect(await views()).toHaveLength(1);
});

test('products are merged into one with an option and split again, each as one change that can be undone', async () => {
  const small = await withVariant('Wren sled, small', 1_850, { sku: 'WS-S', stock: 3 });
  const large = await withVariant('Wren sled, large', 2_450, { sku: 'WS-L', stock: 5 });
  const ids = [small, large].map(({ product }) => product.id);
  const before = readProducts(server.catalog.db, ids);
  await server.call('POST', '/api/editions', {});
  const merged = await server.call<{ id: string }>('POST', '/api/bulk/merge', {
    ids,
    option: 'Size',
    values: ['Small', 'Large'],
  });
  expect(merged.body.id).toBe(ids[0]);
  expect(productOf(ids[0]!).variants.map(({ sku, price, stock }) => [sku, price, stock])).toEqual([
    ['WS-S', 1_850, 3],
    ['WS-L', 2_450, 5],
  ]);
  expect(server.catalog.working.products.has(ids[1]!)).toBe(false);
  await server.call('POST', '/api/editions', {});
  const moved = await server.raw('/p/wren-sled-large');
  expect([moved.status, moved.headers.get('location')]).toEqual([301, '/p/wren-sled-small']);

  const optionId = productOf(ids[0]!).options[0]!.id;
  const split = await server.call<{ ids: string[] }>('POST', `/api/products/${ids[0]}/split`, { optionId });
  expect(split.body.ids.map((id) => [productOf(id).title, productOf(id).variants.map(({ sku }) => sku)])).toEqual([
    ['Wren sled, small, Small', ['WS-S']],
    ['Wren sled, small, Large', ['WS-L']],
  ]);
  await server.call('POST', '/api/undo');
  await server.call('POST', '/api/undo');
  expect(readProducts(server.catalog.db, ids)).toEqual(before);
  const other = await withVariant('Braided line', 900, {});
  const options = [{ id: null, name: 'Length', values: [{ id: null, name: '50 m', swatch: null }] }];
  await server.call('PUT', `/api/products/${other.product.id}/options`, { seen: other.revision, options });
  const bad = { ids: [ids[0], other.product.id], option: 'Size', values: ['a', 'b'] };
  const refused = await server.call('POST', '/api/bulk/merge', bad);
  expect(problem(refused).errors![0]!.message).toBe('“Braided line” has other options than “Wren sled, small”.');
});

test('a sheet saves many cells as one change, or nothing when one cannot be, and tells a clash', async () => {
  const sled = await withVariant('Wren sled', 1_850, { cost: 700 });
  const kite = await withVariant('Harrier delta', 6_400, { salePrice: 6_000 });
  const ids = [sled, kite].map(({ product }) => product.id);
  type SheetAnswer = { seen: number; products: { id: string; variants: { id: string; price: number }[] }[] };
  const { body } = await server.call<SheetAnswer>('POST', '/api/sheet', { which: { ids } });
  expect(body.products.map(({ variants }) => variants[0]!.price)).toEqual([1_850, 6_400]);
  const cell = (i: number, fields: object) => ({
    id: ids[i],
    variants: [{ id: body.products[i]!.variants[0]!.id, fields }],
  });
  const save = (changes: object[], seen = body.seen) => server.call<Job>('POST', '/api/sheet/save', { seen, changes });
  const refused = await save([{ ...cell(0, { price: 2_000 }), fields: { title: 'Wren' } }, cell(1, { price: 5_000 })]);
  expect(problem(refused).errors).toEqual([
    {
      path: ['changes', 1, 'variants', 0, 'fields', 'price'],
      message: 'The price must be above the sale price of €60.00.',
    },
  ]);
  expect(productOf(ids[0]!).title).toBe('Wren sled');
  const saved = await save([
    { ...cell(0, { price: 2_000 }), fields: { title: 'Wren', supplier: 'Tern' } },
    cell(1, { stock: 2 }),
  ]);
  expect(saved.body).toMatchObject({ state: 'done', outcome: 'Changed 4 cells of 2 products in a sheet' });
  expect([productOf(ids[0]!).title, productOf(ids[1]!).variants[0]!.stock]).toEqual(['Wren', 2]);
  const late = await save([{ ...cell(0, { price: 2_100 }), fields: { title: 'Mine' } }]);
  expect([late.status, problem(late).errors!.map(({ theirs }) => theirs)]).toEqual([409, ['Wren', 2_000]]);
  await server.call('POST', '/api/undo');
  expect([productOf(ids[0]!).title, productOf(ids[0]!).supplier, productOf(ids[1]!).variants[0]!.stock]).toEqual([
    'Wren sled',
    '',
    null,
  ]);
});

test('history tells old and new values in words, and one change is taken back unless the same was changed since', async () => {
  const { product } = await withVariant('Wren sled', 1_850, { cost: 700 });
  await run([product.id], { do: 'supplier', name: 'Tern & Tackle' });
  await run([product.id], raise);
  type History = { changes: { id: number; label: string; undone: boolean; details: object[] }[] };
  const history = async () => (await server.call<History>('GET', '/api/history')).body.changes;
  const [raised, supplied, costed] = await history();
  expect(raised!.details).toEqual([{ of: 'Wren sled', label: 'Price', before: '€18.50', after: '€18.90' }]);
  expect(supplied!.details).toEqual([{ of: 'Wren sled', label: 'Supplier', before: '', after: 'Tern & Tackle' }]);
  expect((await server.call('POST', `/api/history/${supplied!.id}/reverse`)).status).toBe(200);
  expect([productOf(product.id).supplier, productOf(product.id).variants[0]!.price]).toEqual(['', 1_890]);
  const refused = await server.call('POST', `/api/history/${costed!.id}/reverse`);
  expect([refused.status, problem(refused).detail]).toEqual([409, 'Raised prices of one product by 4 %']);
  await server.call('POST', `/api/history/${supplied!.id}/reverse`);
  expect(productOf(product.id).supplier).toBe('Tern & Tackle');
});
