import fc from 'fast-check';
import type { ProductAnswer } from '../../contract/product';
import { startServer } from '../testing/harness';
import { StockLevels } from './stock-levels';

test('levels follow the rows of each product, whatever was before; what has no row is gone', () => {
  const rows = fc
    .dictionary(fc.constantFrom('v1', 'v2', 'v3'), fc.option(fc.nat(3)), { maxKeys: 3 })
    .map((counts) => Object.entries(counts).map(([variantId, count]) => ({ variantId, productId: 'p', count })));
  fc.assert(
    fc.property(fc.array(rows, { minLength: 1, maxLength: 5 }), (states) => {
      const levels = new StockLevels(states[0]!);
      let before = states[0]!;
      for (const next of states) {
        const sorted = (list: typeof next) =>
          JSON.stringify([...list].sort((a, b) => (a.variantId < b.variantId ? -1 : 1)));
        expect(levels.replace('p', next)).toBe(sorted(before) !== sorted(next));
        for (const id of ['v1', 'v2', 'v3'])
          expect(levels.get(id)).toBe(
            next.some((row) => row.variantId === id) ? next.find((row) => row.variantId === id)!.count : 0,
          );
        before = next;
      }
    }),
  );
});

test('a variant whose making was taken back is sold out where it is still live, not without end', async () => {
  const server = await startServer();
  const made = (await server.call<ProductAnswer>('POST', '/api/products', { title: 'Kite', price: 1000 })).body;
  const { id } = made.product;
  const write = (method: string, path: string, body: object) =>
    server.call<ProductAnswer>(method, `/api/products/${id}${path}`, { seen: Number.MAX_SAFE_INTEGER, ...body });
  await write('PATCH', '', { fields: { status: 'live' } });
  const values = ['S', 'L'].map((name) => ({ id: null, name, swatch: null, pictureId: null }));
  await write('PUT', '/options', { options: [{ id: null, name: 'Size', values }], confirmed: true });
  await server.call('POST', '/api/editions', {});
  const stockWords = async () => {
    const product = (await (await server.raw('/shop-api/products/kite')).json()) as {
      variants: { inStock: boolean }[];
    };
    return product.variants.map(({ inStock }) => inStock);
  };
  expect(await stockWords()).toEqual([true, true]);
  await server.call('POST', '/api/undo');
  expect(await stockWords()).toEqual([true, false]);
  await server.call('POST', '/api/redo');
  expect(await stockWords()).toEqual([true, true]);
  await server.close();
});
