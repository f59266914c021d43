import { written } from '../../core/history/done';
import { columnOf, namesOf, type Fields } from '../../core/model/fields';
import { productFields, relationFields } from '../../core/model/product-fields';
import { groupFields } from '../../core/model/group-fields';
import { variantFields } from '../../core/model/variant-fields';
import { valuesOf } from '../../core/testing/field-values';
import { productFieldsSchema, variantFieldsSchema } from '../../contract/product';
import { groupRoutes } from '../../contract/groups';
import { addProduct, startServer, type Harness } from '../testing/harness';
import { toldColumn } from './field-words';
import { putCategory, putCollection, putNamed, readCategories, readCollections, readNamed } from './groups';
import { readProducts } from './products';
import { setVariants, updateProduct } from './put-products';

let shop: Harness;
beforeAll(async () => void (shop = await startServer()));
afterAll(() => shop.close());

const stored = (fields: Fields) => namesOf(fields, ({ column }) => column !== 'own table');
const only = (values: Record<string, unknown>, names: readonly string[]) =>
  Object.fromEntries(names.map((name) => [name, values[name]]));

test('every field of a product is read as it was written', async () => {
  const { db, journal } = shop.catalog;
  const { product } = await addProduct(shop, 'Harrier');
  const own = { ...valuesOf(productFields), brandId: null, specSheetId: null };
  const between = valuesOf(relationFields);
  const actor = shop.catalog.actor(null);
  journal.change(written('Wrote every field'), actor, () => updateProduct(db, product.id, { ...own, ...between }));
  const [read] = readProducts(db, [product.id]);
  expect(read).toMatchObject(only(own, stored(productFields)));
  expect(read!.relations).toEqual(between);
});

test('every field of a variant is read as it was written', async () => {
  const { db, journal } = shop.catalog;
  const { product } = await addProduct(shop, 'Wren');
  const variant = { ...product.variants[0]!, ...valuesOf(variantFields), pictureId: null };
  journal.change(written('Wrote every field'), shop.catalog.actor(null), () => setVariants(db, product.id, [variant]));
  const [read] = readProducts(db, [product.id]);
  expect(read!.variants).toEqual([variant]);
});

test.each([
  ['product', { ...productFields, ...relationFields }],
  ['variant', variantFields],
  ...Object.entries(groupFields),
])('the history has a word for every column of a %s, or says nothing of it on purpose', (table, fields: Fields) => {
  for (const name of stored(fields)) {
    const told = toldColumn(table, columnOf(name));
    if (fields[name]!.told === 'not at all') expect(told).toBeUndefined();
    else expect(told?.words).toMatch(/^\p{Lu}/u);
  }
});

/** How each kind of group is written and read. */
const groupStore: Record<keyof typeof groupFields, [put: (group: never) => void, read: () => { id: string }[]]> = {
  category: [(group) => putCategory(shop.catalog.db, group), () => readCategories(shop.catalog.db)],
  collection: [(group) => putCollection(shop.catalog.db, group), () => readCollections(shop.catalog.db)],
  brand: [(group) => putNamed(shop.catalog.db, 'brand', group), () => readNamed(shop.catalog.db, 'brand')],
  tag: [(group) => putNamed(shop.catalog.db, 'tag', group), () => readNamed(shop.catalog.db, 'tag')],
};

test.each(Object.keys(groupFields) as (keyof typeof groupFields)[])(
  'every field of a %s is read as it was written',
  (kind) => {
    const fields: Fields = groupFields[kind];
    const values = { ...valuesOf(fields), id: `${kind}_000009`, parentId: null, specSheetId: null, picked: [] };
    const group = only(values, ['id', ...namesOf(fields)]);
    const [put, read] = groupStore[kind];
    shop.catalog.journal.change(written('Wrote every field'), shop.catalog.actor(null), () => put(group as never));
    expect(read().find(({ id }) => id === values.id)).toEqual(group);
  },
);

test.each([
  ['category', groupRoutes.updateCategory, ['alt', 'place', 'was']],
  ['collection', groupRoutes.updateCollection, ['alt', 'was']],
  ['brand', groupRoutes.updateNamed, ['alt', 'was']],
] as const)('what a seller may write of a %s are its declared fields', (kind, route, more) => {
  const written = namesOf<Fields>(groupFields[kind], ({ typed }) => typed !== null);
  expect(Object.keys(route.body!.shape).sort()).toEqual([...written, ...more].sort());
});

test('what a seller may write are the declared fields, and nothing else', () => {
  const isWritten = (fields: Fields) => namesOf(fields, ({ typed }) => typed !== null);
  const written = [...isWritten(productFields), ...isWritten(relationFields)];
  expect(Object.keys(productFieldsSchema.shape).sort()).toEqual(written.sort());
  expect(Object.keys(variantFieldsSchema.shape).sort()).toEqual(isWritten(variantFields).sort());
});
