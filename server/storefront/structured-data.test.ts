import { z } from 'zod';
import type { ProductAnswer } from '../../contract/product';
import { addProduct, startServer, type Harness } from '../testing/harness';

let server: Harness;
beforeEach(async () => {
  server = await startServer();
});
afterEach(() => server.close());

/** What schema.org asks of these types, as those who read them check it: nothing else may stand in them. */
const address = z.url({ protocol: /^https?$/ });
const amount = z.string().regex(/^\d+\.\d{2}$/);
const currency = z.string().regex(/^[A-Z]{3}$/);
const availability = z.enum(['InStock', 'OutOfStock', 'BackOrder'].map((name) => `https://schema.org/${name}`));
const offer = z.strictObject({
  '@type': z.literal('Offer'),
  url: address,
  price: amount,
  priceCurrency: currency,
  priceValidUntil: z.iso.date().optional(),
  availability,
  itemCondition: z.literal('https://schema.org/NewCondition'),
});
const codes = {
  sku: z.string().min(1).optional(),
  gtin: z
    .string()
    .regex(/^(\d{8}|\d{12,14})$/)
    .optional(),
};
const values = z.array(
  z.strictObject({ '@type': z.literal('PropertyValue'), name: z.string().min(1), value: z.string().min(1) }),
);
const aggregateOffer = z
  .strictObject({
    '@type': z.literal('AggregateOffer'),
    lowPrice: amount,
    highPrice: amount,
    priceCurrency: currency,
    availability,
  })
  .refine(({ lowPrice, highPrice }) => Number(lowPrice) <= Number(highPrice));
const common = {
  '@context': z.literal('https://schema.org'),
  name: z.string().min(1),
  url: address,
  description: z.string().min(1).optional(),
  image: z.array(address).min(1).optional(),
  brand: z.strictObject({ '@type': z.literal('Brand'), name: z.string().min(1) }).optional(),
  additionalProperty: values,
};
const single = z.strictObject({
  ...common,
  ...codes,
  '@type': z.literal('Product'),
  offers: z.union([offer, aggregateOffer]).optional(),
});
const group = z.strictObject({
  ...common,
  '@type': z.literal('ProductGroup'),
  productGroupID: z.string().min(1),
  variesBy: z.array(z.string().min(1)).min(1),
  hasVariant: z
    .array(
      z.strictObject({
        '@type': z.literal('Product'),
        name: z.string().min(1),
        url: address,
        image: address.optional(),
        ...codes,
        color: z.string().min(1).optional(),
        size: z.string().min(1).optional(),
        additionalProperty: values.optional(),
        offers: offer.optional(),
      }),
    )
    .min(2),
});
const product = z.discriminatedUnion('@type', [single, group]);

const ALL = Number.MAX_SAFE_INTEGER;
const patch = (id: string, fields: object) =>
  server.call<ProductAnswer>('PATCH', `/api/products/${id}`, { seen: ALL, fields });
const cells = ({ product: { id, variants } }: ProductAnswer, fields: object) =>
  server.call('PATCH', `/api/products/${id}/variants`, {
    seen: ALL,
    changes: variants.map((variant) => ({ id: variant.id, fields })),
  });

/** The structured data of a live product page; throws where it is not valid. */
async function structuredPage(slug: string) {
  await server.call('POST', '/api/editions', {});
  const html = await (await server.raw(`/p/${slug}`)).text();
  const [, json] = /<script type="application\/ld\+json">(.*?)<\/script>/s.exec(html)!;
  return product.parse(JSON.parse(json!));
}

/** Of a product that is sold in one version. */
const structured = async (slug: string) => single.parse(await structuredPage(slug));

test('a product with everything is valid, with its offer', async () => {
  const made = await addProduct(server, 'Harrier </script><b>', 6_400);
  const { id, slug } = made.product;
  await cells(made, { sku: 'HD-1', barcode: '4006381333931', salePrice: 5_800, stock: 0 });
  const brand = (await server.call<{ id: string }>('POST', '/api/brands', { name: 'Tern' })).body.id;
  await patch(id, {
    brandId: brand,
    summary: 'A kite.',
    saleUntil: new Date(Date.now() + 86_400_000).toISOString(),
    customFields: [{ label: 'In the box', value: 'kite' }],
  });
  const data = await structured(slug);
  expect(data).toMatchObject({
    name: 'Harrier </script><b>',
    url: `https://shop.example/p/${slug}`,
    brand: { name: 'Tern' },
  });
  expect(data).toMatchObject({
    sku: 'HD-1',
    gtin: '4006381333931',
    offers: { price: '58.00', availability: 'https://schema.org/OutOfStock' },
  });
});

test('what can be ordered while sold out says so, and a price on request tells none', async () => {
  const made = await addProduct(server, 'Harrier', 6_400);
  await cells(made, { stock: 0 });
  await patch(made.product.id, { whenSoldOut: 'order' });
  expect((await structured('harrier')).offers).toMatchObject({ availability: 'https://schema.org/BackOrder' });
  await patch(made.product.id, { priceOnRequest: true });
  expect((await structured('harrier')).offers).toBeUndefined();
});

test('a bundle of parts tells the ends of its price', async () => {
  const parts = [await addProduct(server, 'Kite', 4_000), await addProduct(server, 'Sled', 2_000)];
  const made = await addProduct(server, 'Set');
  await patch(made.product.id, { kind: 'bundle' });
  const from = { how: 'picked', ids: parts.map((part) => part.product.id) };
  const slots = [{ id: 'z_kite00000', label: 'Kite', from, min: 1, max: 1, usual: null }];
  await patch(made.product.id, { bundle: { slots, pricing: { how: 'parts', off: 1_000 } } });
  expect((await structured('set')).offers).toMatchObject({ lowPrice: '18.00', highPrice: '36.00' });
});

test('a product in versions is a group: each version by its values, with its own page, codes and offer', async () => {
  const made = await addProduct(server, 'Harrier', 6_400);
  const value = (name: string) => ({ id: null, name, swatch: null });
  const options = [
    { id: null, name: 'Colour', values: [value('Ember'), value('Sea')] },
    { id: null, name: 'Line set', values: [value('Without')] },
  ];
  const shaped = await server.call<ProductAnswer>('PUT', `/api/products/${made.product.id}/options`, {
    seen: ALL,
    options,
    confirmed: false,
  });
  expect(shaped.status).toBe(200);
  await cells(shaped.body, { stock: 4 });
  const data = group.parse(await structuredPage('harrier'));
  expect(data.variesBy).toEqual(['https://schema.org/color', 'Line set']);
  expect(data.hasVariant).toMatchObject([
    { name: 'Harrier, Ember, Without', color: 'Ember', offers: { price: '64.00' } },
    { name: 'Harrier, Sea, Without', color: 'Sea' },
  ]);
  expect(new Set(data.hasVariant.map(({ url }) => url)).size).toBe(2);
});

test('in another language, every address in it leads to pages of that language', async () => {
  const { product: tern } = await addProduct(server, 'Tern', 6_400);
  const kites = (await server.call<{ id: string }>('POST', '/api/categories', { name: 'Kites' })).body.id;
  await patch(tern.id, { categoryIds: [kites] });
  await server.call('POST', '/api/languages', { locale: 'de' });
  await server.call('PATCH', '/api/languages/de', { isOn: true });
  await server.call('PUT', '/api/languages/de/texts', {
    texts: [
      { kind: 'product', id: tern.id, path: 'title', source: 'Tern', text: 'Seeschwalbe' },
      { kind: 'category', id: kites, path: 'name', source: 'Kites', text: 'Drachen' },
    ],
  });
  await server.call('POST', '/api/editions', {});
  const addresses: string[] = [];
  for (const path of ['/de', '/de/c/drachen', '/de/p/seeschwalbe']) {
    const html = await (await server.raw(path)).text();
    const scripts = [...html.matchAll(/<script type="application\/ld\+json">(.*?)<\/script>/gs)].map(
      ([, json]) => json!,
    );
    for (const json of scripts)
      addresses.push(...[...json.matchAll(/"(https:\/\/shop\.example[^"]*)"/g)].map(([, found]) => found!));
  }
  const pages = addresses.map((found) => found.replace('https://shop.example', '').replace(/[?{].*/, ''));
  expect(new Set(pages)).toEqual(new Set(['/de', '/de/search', '/de/c/drachen', '/de/p/seeschwalbe']));
  for (const page of pages) expect([page, (await server.raw(page)).status]).toEqual([page, 200]);
});
