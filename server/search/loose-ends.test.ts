import { productChecks } from '../../core/loose-ends/checks/product-rules';
import { checkRule } from '../../core/rules/check';
import type { Rule } from '../../core/model/rule';
import { goodsFields } from '../state/goods-fields';
import { addProduct, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeAll(async () => (server = await startServer()));
afterAll(() => server.close());

const found = async (rule: Rule) =>
  (await server.call<{ ids: string[] }>('POST', '/api/goods/matching', { text: '', rule })).body.ids;

test('each has a name of its own, and asks for what the goods can be narrowed by', () => {
  expect(new Set(productChecks.map(({ key }) => key)).size).toBe(productChecks.length);
  for (const { label, node } of productChecks) {
    expect(label).toMatch(/^\p{Lu}/u);
    expect(checkRule({ match: 'all', of: [node] }, goodsFields(server.catalog))).toEqual([]);
  }
});

test('a bare product has them, and one with everything has none', async () => {
  const bare = (await addProduct(server, 'Bare', 0)).product;
  const cheap = (await addProduct(server, 'Cheap', 100)).product;
  await server.call('PATCH', `/api/products/${cheap.id}/variants`, {
    seen: Number.MAX_SAFE_INTEGER,
    changes: [{ id: cheap.variants[0]!.id, fields: { cost: 5_000, stock: 0 } }],
  });
  await server.call('PATCH', `/api/products/${cheap.id}`, {
    seen: Number.MAX_SAFE_INTEGER,
    fields: { featured: true },
  });
  const has = async (id: string) => {
    const keys: string[] = [];
    for (const { key, node } of productChecks)
      if ((await found({ match: 'all', of: [node] })).includes(id)) keys.push(key);
    return keys;
  };
  expect(await has(bare.id)).toEqual([
    'nowhere',
    'noPrice',
    'noPicture',
    'noCategory',
    'noDescription',
    'noCost',
    'noBrand',
  ]);
  expect(await has(cheap.id)).toEqual(expect.arrayContaining(['belowCost', 'featuredSoldOut']));
  // Every loose end was met by one of the two.
  expect(new Set([...(await has(bare.id)), ...(await has(cheap.id))]).size).toBe(productChecks.length);
});
