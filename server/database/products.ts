import type {
  Option,
  OptionValue,
  Picture,
  Product,
  Relation,
  RelationKind,
  Variant,
} from '../../core/catalog/product';
import { canonicalJson } from '../../core/editions/document';
import type { Db } from './connection';

type Row = Record<string, unknown>;

/** What of a product stands in tables of its own. */
type ProductParts = Pick<Product, 'categoryIds' | 'tagIds' | 'options' | 'variants' | 'pictures'>;

/** Values of the columns of a row, in order. Reading a catalog makes very many of them: as lists they cost half as much. */
type Cells = [productId: string, ...cells: unknown[]];

/** Reads whole products: those with these ids, or all. */
export function readProducts(db: Db, ids?: readonly string[]): Product[] {
  const list = ids ? JSON.stringify(ids) : null;
  const only = (column: string) => (list === null ? '' : `WHERE ${column} IN (SELECT value FROM json_each(@list))`);
  const parameters = list === null ? [] : [{ list }];
  /** What the rows of a query make, by the product id in their first column. */
  const grouped = <T>(sql: string, make: (cells: Cells) => T): Map<string, T[]> => {
    const groups = new Map<string, T[]>();
    for (const cells of db
      .prepare(sql)
      .raw()
      .all(...parameters) as Cells[]) {
      const group = groups.get(cells[0]);
      if (group) group.push(make(cells));
      else groups.set(cells[0], [make(cells)]);
    }
    return groups;
  };
  const second = (cells: Cells) => cells[1] as string;
  const categories = grouped(
    `SELECT product_id, category_id FROM product_category ${only('product_id')} ORDER BY position`,
    second,
  );
  const tags = grouped(`SELECT product_id, tag_id FROM product_tag ${only('product_id')} ORDER BY tag_id`, second);
  const values = grouped(
    `SELECT product_id, option_id, id, name, swatch, picture_id FROM option_value ${only('product_id')} ORDER BY position`,
    ([, optionId, id, name, swatch, pictureId]) => ({
      optionId,
      value: { id, name, swatch, pictureId } as OptionValue,
    }),
  );
  const options = grouped(
    `SELECT product_id, id, name, list_id FROM option ${only('product_id')} ORDER BY position`,
    ([productId, id, name, listId]) =>
      ({
        id,
        name,
        listId,
        values: (values.get(productId) ?? []).filter(({ optionId }) => optionId === id).map(({ value }) => value),
      }) as Option,
  );
  const pictures = grouped(
    `SELECT product_id, id, media_hash, width, height, alt, focus_x, focus_y, fit, ground
     FROM picture JOIN media ON media.hash = media_hash ${only('product_id')} ORDER BY position`,
    ([, id, media, width, height, alt, x, y, fit, ground]) =>
      ({ id, media, width, height, alt, focus: { x, y }, fit, ground }) as Picture,
  );
  const variants = grouped(
    `SELECT variant.product_id, id, value_ids, sku, price, sale_price, cost, picture_id, stock.count, barcode,
       supplier_number, warn_at, content, weight, size, package_sort, dispatch_days
     FROM variant LEFT JOIN stock ON stock.variant_id = variant.id
     ${only('variant.product_id')} ORDER BY variant.position`,
    variantOf,
  );
  const rows = db.prepare(`SELECT * FROM product ${only('id')}`).all(...parameters) as (Row & {
    id: string;
    created: string;
  })[];
  return rows.map((row) => {
    const { id } = row;
    return productOf(row, {
      categoryIds: categories.get(id) ?? [],
      tagIds: tags.get(id) ?? [],
      options: options.get(id) ?? [],
      variants: variants.get(id) ?? [],
      pictures: pictures.get(id) ?? [],
    });
  });
}

function variantOf(cells: Cells): Variant {
  return {
    id: cells[1],
    values: JSON.parse(cells[2] as string) as string[],
    sku: cells[3],
    price: cells[4],
    salePrice: cells[5],
    cost: cells[6],
    pictureId: cells[7],
    stock: cells[8],
    barcode: cells[9],
    supplierNumber: cells[10],
    warnAt: cells[11],
    content: cells[12],
    weight: cells[13],
    size: fromColumn(cells[14], 'json'),
    packageSort: cells[15],
    dispatchDays: cells[16],
  } as Variant;
}

/** Fields of a product that are columns of its row. */
export type ProductFields = Omit<
  Product,
  'id' | 'created' | 'categoryIds' | 'tagIds' | 'options' | 'variants' | 'pictures' | 'relations'
> & { goesWith: Relation; stepUp: Relation; similar: Relation };

interface ProductColumn {
  column: string;
  as?: 'flag' | 'json';
}

/** Column of each plain field of a product. */
export const productColumns: Record<keyof ProductFields, ProductColumn> = {
  kind: { column: 'kind' },
  title: { column: 'title' },
  summary: { column: 'summary' },
  description: { column: 'description' },
  slug: { column: 'slug' },
  standing: { column: 'standing' },
  featured: { column: 'featured', as: 'flag' },
  featuredPlace: { column: 'featured_place' },
  brandId: { column: 'brand_id' },
  leftOut: { column: 'left_out', as: 'json' },
  saleFrom: { column: 'sale_from' },
  saleUntil: { column: 'sale_until' },
  quantityPrices: { column: 'quantity_prices', as: 'json' },
  unitPricing: { column: 'unit_pricing' },
  taxClass: { column: 'tax_class' },
  priceOnRequest: { column: 'price_on_request', as: 'flag' },
  hidePriceWhenSoldOut: { column: 'hide_price_when_sold_out', as: 'flag' },
  whenSoldOut: { column: 'when_sold_out' },
  orderDelay: { column: 'order_delay' },
  weight: { column: 'weight' },
  size: { column: 'size', as: 'json' },
  packageSort: { column: 'package_sort' },
  dispatchDays: { column: 'dispatch_days' },
  duration: { column: 'duration' },
  ownValue: { column: 'own_value', as: 'json' },
  bundle: { column: 'bundle', as: 'json' },
  files: { column: 'files', as: 'json' },
  downloadLimit: { column: 'download_limit' },
  downloadDays: { column: 'download_days' },
  supplier: { column: 'supplier' },
  metaTitle: { column: 'meta_title' },
  metaDescription: { column: 'meta_description' },
  noindex: { column: 'noindex', as: 'flag' },
  liveFrom: { column: 'live_from' },
  liveUntil: { column: 'live_until' },
  specSheetId: { column: 'spec_sheet_id' },
  specs: { column: 'specs', as: 'json' },
  customFields: { column: 'custom_fields', as: 'json' },
  goesWith: { column: 'goes_with', as: 'json' },
  stepUp: { column: 'step_up', as: 'json' },
  similar: { column: 'similar', as: 'json' },
};
/** Column of each field of a variant that can differ while it stays the same combination in the same place. */
export const plainVariantColumns = {
  sku: 'sku',
  price: 'price',
  salePrice: 'sale_price',
  cost: 'cost',
  pictureId: 'picture_id',
  barcode: 'barcode',
  supplierNumber: 'supplier_number',
  warnAt: 'warn_at',
  content: 'content',
  weight: 'weight',
  size: 'size',
  packageSort: 'package_sort',
  dispatchDays: 'dispatch_days',
} as const satisfies Partial<Record<keyof Variant, string>>;

export const productFieldNames = Object.keys(productColumns) as (keyof ProductFields)[];

/** JSON texts that many products share are read once. */
const sharedTexts = new Map(
  ['[]', '{}', '{"how":"none"}', '{"how":"sameCategory"}'].map((text) => [text, JSON.parse(text)]),
);

function fromColumn(value: unknown, as: ProductColumn['as']): unknown {
  if (as === 'flag') return value === 1;
  if (as !== 'json' || value === null) return value;
  return sharedTexts.get(value as string) ?? JSON.parse(value as string);
}

export function toColumn(value: unknown, as: ProductColumn['as']): unknown {
  if (as === 'flag') return Number(value);
  return as === 'json' && value !== null ? canonicalJson(value) : value;
}

/**
 * A product, its fields one by one: an object that is filled in a loop would be kept as a table of names, which takes
 * several times the room and time.
 */
function productOf(
  row: Row & { id: string; created: string },
  { categoryIds, tagIds, options, variants, pictures }: ProductParts,
): Product {
  const read = (name: keyof ProductFields): unknown => {
    const { column, as } = productColumns[name];
    return fromColumn(row[column], as);
  };
  const relation = (kind: RelationKind) => read(kind) as Relation;
  return {
    id: row.id,
    kind: read('kind') as Product['kind'],
    title: read('title') as Product['title'],
    summary: read('summary') as Product['summary'],
    description: read('description') as Product['description'],
    slug: read('slug') as Product['slug'],
    standing: read('standing') as Product['standing'],
    featured: read('featured') as Product['featured'],
    featuredPlace: read('featuredPlace') as Product['featuredPlace'],
    brandId: read('brandId') as Product['brandId'],
    leftOut: read('leftOut') as Product['leftOut'],
    saleFrom: read('saleFrom') as Product['saleFrom'],
    saleUntil: read('saleUntil') as Product['saleUntil'],
    quantityPrices: read('quantityPrices') as Product['quantityPrices'],
    unitPricing: read('unitPricing') as Product['unitPricing'],
    taxClass: read('taxClass') as Product['taxClass'],
    priceOnRequest: read('priceOnRequest') as Product['priceOnRequest'],
    hidePriceWhenSoldOut: read('hidePriceWhenSoldOut') as Product['hidePriceWhenSoldOut'],
    whenSoldOut: read('whenSoldOut') as Product['whenSoldOut'],
    orderDelay: read('orderDelay') as Product['orderDelay'],
    weight: read('weight') as Product['weight'],
    size: read('size') as Product['size'],
    packageSort: read('packageSort') as Product['packageSort'],
    dispatchDays: read('dispatchDays') as Product['dispatchDays'],
    duration: read('duration') as Product['duration'],
    ownValue: read('ownValue') as Product['ownValue'],
    bundle: read('bundle') as Product['bundle'],
    files: read('files') as Product['files'],
    downloadLimit: read('downloadLimit') as Product['downloadLimit'],
    downloadDays: read('downloadDays') as Product['downloadDays'],
    supplier: read('supplier') as Product['supplier'],
    metaTitle: read('metaTitle') as Product['metaTitle'],
    metaDescription: read('metaDescription') as Product['metaDescription'],
    noindex: read('noindex') as Product['noindex'],
    liveFrom: read('liveFrom') as Product['liveFrom'],
    liveUntil: read('liveUntil') as Product['liveUntil'],
    specSheetId: read('specSheetId') as Product['specSheetId'],
    specs: read('specs') as Product['specs'],
    customFields: read('customFields') as Product['customFields'],
    relations: { goesWith: relation('goesWith'), stepUp: relation('stepUp'), similar: relation('similar') },
    categoryIds,
    tagIds,
    options,
    variants,
    pictures,
    created: row.created,
  };
}

/** Pieces left of every variant, those included that only an edition still knows. */
export interface StockRow {
  variantId: string;
  productId: string;
  count: number | null;
}

export function readStock(db: Db, productIds?: readonly string[]): StockRow[] {
  const sql = `SELECT variant_id AS variantId, product_id AS productId, count FROM stock`;
  const rows = productIds
    ? db.prepare(`${sql} WHERE product_id IN (SELECT value FROM json_each(?))`).all(JSON.stringify(productIds))
    : db.prepare(sql).all();
  return rows as StockRow[];
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
