import type { goodsRoutes } from '../../contract/goods';
import type { BodyOf } from '../../contract/route';
import { plainVariantColumns, productColumns, type ProductFields } from './products';

type Fields = BodyOf<typeof goodsRoutes.update>['fields'];

/** Fields of a product in words, as labels of changes and the history tell them. */
export const fieldWords: Record<keyof Fields | 'leftOut' | 'featuredPlace', string> = {
  leftOut: 'combinations left out',
  kind: 'kind',
  title: 'title',
  summary: 'summary',
  description: 'description',
  slug: 'address',
  standing: 'standing',
  featured: 'featured',
  featuredPlace: 'place among featured ones',
  brandId: 'brand',
  categoryIds: 'categories',
  tagIds: 'tags',
  saleFrom: 'beginning of the sale',
  saleUntil: 'end of the sale',
  quantityPrices: 'quantity prices',
  unitPricing: 'unit price',
  taxClass: 'tax class',
  priceOnRequest: 'price on request',
  hidePriceWhenSoldOut: 'price when sold out',
  whenSoldOut: 'what happens when sold out',
  orderDelay: 'order delay',
  weight: 'weight',
  size: 'package size',
  packageSort: 'package',
  dispatchDays: 'days to dispatch',
  duration: 'duration',
  ownValue: 'value that shoppers choose',
  bundle: 'what is in it',
  files: 'files',
  downloadLimit: 'download limit',
  downloadDays: 'days to download',
  supplier: 'supplier',
  metaTitle: 'meta title',
  metaDescription: 'meta description',
  noindex: 'search engines',
  liveFrom: 'first day on the shop',
  liveUntil: 'last day on the shop',
  specSheetId: 'spec sheet',
  specs: 'specs',
  customFields: 'own fields',
  goesWith: 'goes with',
  stepUp: 'step up',
  similar: 'similar',
};

/** Column of each field of a variant; its stock stands in a table of its own. */
export const variantColumns = { ...plainVariantColumns, stock: 'count' } as const;

export const variantWords = {
  sku: 'SKU',
  price: 'price',
  salePrice: 'sale price',
  cost: 'cost',
  stock: 'stock',
  pictureId: 'picture',
  barcode: 'barcode',
  supplierNumber: 'supplier number',
  warnAt: 'warn-at level',
  content: 'content',
  weight: 'weight',
  size: 'package size',
  packageSort: 'package',
  dispatchDays: 'days to dispatch',
} as const;

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** Columns of products, variants, stock, options and pictures in words, for the history. */
export const columnWords: Readonly<Record<string, string>> = {
  ...Object.fromEntries(
    Object.entries(productColumns).map(([name, { column }]) => [
      column,
      capital(fieldWords[name as keyof ProductFields]),
    ]),
  ),
  ...Object.fromEntries(
    Object.entries(variantColumns).map(([name, column]) => [
      column,
      capital(variantWords[name as keyof typeof variantWords]),
    ]),
  ),
  parent_id: 'Stands in',
  source: 'Filled',
  rule: 'Rule',
  sort: 'Order',
  text: 'Text',
  pins: 'Pinned',
  left_out: 'Left out',
  listed: 'A page of its own',
  picture: 'Picture',
  fewest: 'Smallest size',
  most: 'Largest size',
  alt: 'Alt text',
  fit: 'Fills or fits',
  name: 'Name',
};

/** Columns whose content means nothing to a reader: only that they changed is told. */
export const opaqueColumns: ReadonlySet<string> = new Set([
  ...Object.values(productColumns).flatMap(({ column, as }) => (as === 'json' ? [column] : [])),
  'brand_id',
  'spec_sheet_id',
  'picture_id',
  'picture',
]);
