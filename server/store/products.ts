import { columnOf, namesOf, type Field, type Fields } from '../../core/model/fields';
import type { Product, Variant } from '../../core/model/product';
import { productFields, relationFields } from '../../core/model/product-fields';
import { relationKinds, type RelationKind } from '../../core/model/product-values';
import { variantFields } from '../../core/model/variant-fields';
import { canonicalJson } from '../../core/shared/canonical-json';
import { createHash } from 'node:crypto';
import type { Db } from '../database/connection';
import { readRowsInThread } from './rows-in-thread';
import { statement } from '../database/statements';

/** Fields of a product that are columns of its row. */
export type ProductFields = Omit<
  Product,
  'id' | 'created' | 'categoryIds' | 'tagIds' | 'options' | 'variants' | 'pictures' | 'relations'
> &
  Product['relations'];

interface Column {
  column: string;
  as: Field['column'];
}

const columnsOf = (fields: Fields) =>
  Object.fromEntries(
    namesOf(fields, ({ column }) => column !== 'own table').map((name): [string, Column] => [
      name,
      { column: columnOf(name), as: fields[name]!.column },
    ]),
  );

/** Column of each field of a product that its row holds. */
export const productColumns = { ...columnsOf(productFields), ...columnsOf(relationFields) } as Record<
  keyof ProductFields,
  Column
>;

/** Column of each field of a variant that its row holds, and that can differ while it stays the same combination. */
export const plainVariantColumns = columnsOf(variantFields) as Record<
  Exclude<keyof Variant, 'id' | 'values' | 'stock'>,
  Column
>;

export const productFieldNames = Object.keys(productColumns) as (keyof ProductFields)[];

export function toColumn(value: unknown, as: Column['as']): unknown {
  if (as === 'flag') return Number(value);
  return as === 'json' && value !== null ? canonicalJson(value) : value;
}

/** The SQL for a JSON object of these names and expressions. */
const jsonObject = (cells: Record<string, string>) =>
  `json_object(${Object.entries(cells)
    .map(([name, expression]) => `'${name}', ${expression}`)
    .join(', ')})`;

/** The SQL for the JSON list of what belongs to a product. */
const jsonList = (value: string, from: string, order: string) =>
  `(SELECT json_group_array(${value} ORDER BY ${order}) FROM ${from})`;

/** The SQL for a column as JSON; a flag is true or false. */
const jsonOf = (column: string, as: Column['as']) =>
  as === 'flag' ? `json(iif(${column}, 'true', 'false'))` : as === 'json' ? `json(${column})` : column;

/** A number as it is: by itself, SQLite would write it with 15 digits. */
const exact = (column: string) => `json(printf('%!.17g', ${column}))`;

const ownFields = Object.entries(productColumns).map(([name, { column, as }]) => [
  name,
  jsonOf(`product.${column}`, as),
]);
const isRelation = ([name]: string[]) => relationKinds.includes(name as RelationKind);

const optionValues = jsonList(
  jsonObject({ id: 'id', name: 'name', swatch: 'swatch', pictureId: 'picture_id' }),
  'option_value WHERE option_id = option.id',
  'position',
);

const variantCells = Object.entries(plainVariantColumns).map(([name, { column, as }]) => [
  name,
  jsonOf(`variant.${column}`, as),
]);

/** Pieces left of a variant: what the seller counted less what shoppers took; null where it is not counted. */
const LEFT = 'max(0, stock.count - coalesce(stock_taken.pieces, 0))';

/**
 * A product as JSON, put together by SQLite: reading a catalog cell by cell into JavaScript, and its parts together there,
 * takes twice as long.
 */
const productJson = jsonObject({
  id: 'product.id',
  ...Object.fromEntries(ownFields.filter((field) => !isRelation(field))),
  relations: jsonObject(Object.fromEntries(ownFields.filter(isRelation))),
  categoryIds: jsonList('category_id', 'product_category WHERE product_id = product.id', 'position'),
  tagIds: jsonList('tag_id', 'product_tag WHERE product_id = product.id', 'tag_id'),
  options: jsonList(
    jsonObject({ id: 'id', name: 'name', listId: 'list_id', values: optionValues }),
    'option WHERE product_id = product.id',
    'position',
  ),
  variants: jsonList(
    jsonObject({
      id: 'id',
      values: 'json(value_ids)',
      stock: LEFT,
      ...Object.fromEntries(variantCells),
    }),
    'variant LEFT JOIN stock ON stock.variant_id = variant.id LEFT JOIN stock_taken ON stock_taken.variant_id = variant.id WHERE variant.product_id = product.id',
    'variant.position',
  ),
  pictures: jsonList(
    jsonObject({
      id: 'id',
      media: 'media_hash',
      width: 'width',
      height: 'height',
      alt: 'alt',
      focus: jsonObject({ x: exact('focus_x'), y: exact('focus_y') }),
      fit: 'fit',
      background: 'background',
    }),
    'picture JOIN media ON media.hash = media_hash WHERE product_id = product.id',
    'position',
  ),
  created: 'product.created',
});

const allProducts = `SELECT ${productJson} FROM product`;
const someProducts = `${allProducts} WHERE id IN (SELECT value FROM json_each(?))`;

export function countProducts(db: Db): number {
  return db.prepare('SELECT count(*) FROM product').pluck().get() as number;
}

/** A product with a fingerprint of all that is stored of it: where the fingerprint is the same, so is the product. */
export interface StoredProduct {
  product: Product;
  fingerprint: string;
}

const FINGERPRINT_HASH = 'sha1';

const storedProduct = (row: string): StoredProduct => ({
  product: JSON.parse(row) as Product,
  fingerprint: createHash(FINGERPRINT_HASH).update(row).digest('base64'),
});

/** Begins to read all products in a thread, and answers them as they come. */
export function* storedProductsAhead(db: Db): Generator<StoredProduct> {
  const ahead = readRowsInThread<Product>(db, allProducts, FINGERPRINT_HASH);
  const met = new Set<string>();
  try {
    for (const { value, fingerprint } of ahead) {
      met.add(value.id);
      yield { product: value, fingerprint };
    }
    return;
  } catch {
    // Whatever went wrong in the thread is met again here, or it was only the thread.
  }
  for (const stored of readStoredProducts(db)) if (!met.has(stored.product.id)) yield stored;
}

function productRows(db: Db, ids?: readonly string[]): Iterable<string> {
  const rows = ids
    ? statement(db, someProducts).pluck().all(JSON.stringify(ids))
    : db.prepare(allProducts).pluck().iterate();
  return rows as Iterable<string>;
}

/** Reads whole products: those with these ids, or all. */
export function readProducts(db: Db, ids?: readonly string[]): Product[] {
  return Array.from(productRows(db, ids), (row) => JSON.parse(row) as Product);
}

export function readStoredProducts(db: Db, ids?: readonly string[]): StoredProduct[] {
  return Array.from(productRows(db, ids), storedProduct);
}

/** Pieces left of every variant, those included that only an edition still knows. */
export interface StockRow {
  variantId: string;
  productId: string;
  count: number | null;
}

const stockRows = `SELECT stock.variant_id AS variantId, stock.product_id AS productId, ${LEFT} AS count
  FROM stock LEFT JOIN stock_taken USING (variant_id)`;

export function readStock(db: Db, productIds: readonly string[]): StockRow[] {
  const sql = `${stockRows} WHERE stock.product_id IN (SELECT value FROM json_each(?))`;
  return statement(db, sql).all(JSON.stringify(productIds)) as StockRow[];
}

/** What the seller counted of the variants of a product, what shoppers took since included. */
export const readCounts = (db: Db, productId: string): Pick<StockRow, 'variantId' | 'count'>[] =>
  statement(db, `SELECT variant_id AS variantId, count FROM stock WHERE product_id = ?`).all(productId) as StockRow[];

/** Pieces left of all variants. */
export function readAllStock(db: Db): Iterable<StockRow> {
  const rows = db.prepare(stockRows).iterate();
  return rows as Iterable<StockRow>;
}

export interface DuplicateRow {
  variantId: string;
  field: 'sku' | 'barcode';
  value: string;
  productId: string;
}

/** SKUs and barcodes of a product that another of its variants, or a variant of another product, has too. */
export function duplicatesOf(db: Db, productId: string): DuplicateRow[] {
  const sql = (['sku', 'barcode'] as const).map(
    (field) =>
      `SELECT mine.id AS variantId, '${field}' AS field, mine.${field} AS value, min(other.product_id) AS productId
       FROM variant AS mine JOIN variant AS other ON other.${field} = mine.${field} AND other.id <> mine.id
       WHERE mine.product_id = @productId AND mine.${field} <> '' AND other.${field} <> '' GROUP BY mine.id`,
  );
  return db.prepare(sql.join(' UNION ALL ')).all({ productId }) as DuplicateRow[];
}

export function productIdsIn(db: Db, column: 'brand' | 'tag' | 'category', id: string): string[] {
  const sql = {
    brand: `SELECT id FROM product WHERE brand_id = ?`,
    tag: `SELECT product_id FROM product_tag WHERE tag_id = ?`,
    category: `SELECT product_id FROM product_category WHERE category_id = ?`,
  }[column];
  return db.prepare(sql).pluck().all(id) as string[];
}
