import { namesOf, type Fields } from '../../core/model/fields';
import { productFields, relationFields } from '../../core/model/product-fields';
import { variantFields } from '../../core/model/variant-fields';
import { valuesOf } from '../../core/testing/field-values';
import { productFieldsSchema, variantFieldsSchema } from '../../contract/goods';
import { addProduct, startServer, type Harness } from '../testing/harness';
import { columnWords, variantColumn } from './field-words';
import { productColumns, readProducts } from './products';
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
  journal.change('Wrote every field', actor, () => updateProduct(db, product.id, { ...own, ...between }));
  const [read] = readProducts(db, [product.id]);
  expect(read).toMatchObject(only(own, stored(productFields)));
  expect(read!.relations).toEqual(between);
});

test('every field of a variant is read as it was written', async () => {
  const { db, journal } = shop.catalog;
  const { product } = await addProduct(shop, 'Wren');
  const variant = { ...product.variants[0]!, ...valuesOf(variantFields), pictureId: null };
  journal.change('Wrote every field', shop.catalog.actor(null), () => setVariants(db, product.id, [variant]));
  const [read] = readProducts(db, [product.id]);
  expect(read!.variants).toEqual([variant]);
});

test('the history has a word for every column', () => {
  for (const { column } of Object.values(productColumns)) expect(columnWords[column]).toMatch(/^\p{Lu}/u);
  for (const name of namesOf(variantFields)) expect(columnWords[variantColumn(name)]).toMatch(/^\p{Lu}/u);
});

test('what a seller may write are the declared fields, and nothing else', () => {
  const isWritten = (fields: Fields) => namesOf(fields, ({ typed }) => typed !== null);
  const written = [...isWritten(productFields), ...isWritten(relationFields)];
  expect(Object.keys(productFieldsSchema.shape).sort()).toEqual(written.sort());
  expect(Object.keys(variantFieldsSchema.shape).sort()).toEqual(isWritten(variantFields).sort());
});
