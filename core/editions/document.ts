import {
  categoryDefaults,
  collectionDefaults,
  namedDefaults,
  type Brand,
  type Category,
  type Collection,
  type Tag,
} from '../catalog/group';
import { FEATURED_FIRST, orderOfText, orderText, type Order } from '../catalog/order';
import { productDefaults, variantDefaults, type Option, type Product, type Variant } from '../catalog/product';
import type { SpecSheet } from '../catalog/spec';
import type { Menu, Page, Settings } from '../placement/page';

/** What shoppers may see of a variant. Stock is live, and what it costs the seller is nobody's business. */
export type VariantDocument = Omit<Variant, 'stock' | 'cost' | 'warnAt' | 'supplierNumber'>;
type OptionDocument = Omit<Option, 'listId'>;
export type ProductDocument = Omit<Product, 'variants' | 'options' | 'supplier'> & {
  options: OptionDocument[];
  variants: VariantDocument[];
};

const { supplier: _supplier, ...usualProduct } = productDefaults;
const { warnAt: _warnAt, supplierNumber: _supplierNumber, ...usualVariant } = variantDefaults;
const usualOptionValue = { pictureId: null };
const usualPicture = { fit: 'fills' as const, ground: '#ffffff' };
/** Fields that a document leaves out while they are as usual. */
export const documentDefaults = { product: usualProduct, variant: usualVariant };

export interface DocumentBodies {
  product: ProductDocument;
  category: Category;
  collection: Collection;
  brand: Brand;
  tag: Tag;
  specSheet: SpecSheet;
  page: Page;
  menu: Menu;
  settings: Settings;
}
export type DocumentKind = keyof DocumentBodies;
export const documentKinds = [
  'settings',
  'brand',
  'tag',
  'specSheet',
  'category',
  'product',
  'collection',
  'page',
  'menu',
] as const satisfies readonly DocumentKind[];

/** One thing that an edition holds, such as a product or the menu. `key` is its id. */
export type ShopDocument = { [K in DocumentKind]: { kind: K; key: string; body: DocumentBodies[K] } }[DocumentKind];

/** Key of the documents of which a shop has just one. */
export const SINGLE_KEY = 'shop';

/** A product as its document: without stock, cost and what else only the seller knows. */
export function productDocument(product: Product): ProductDocument {
  const { supplier: _supplier, options, variants, ...rest } = product;
  return {
    ...rest,
    options: options.map(({ listId: _listId, ...option }) => option),
    variants: variants.map(
      ({ stock: _stock, cost: _cost, warnAt: _warnAt, supplierNumber: _number, ...variant }) => variant,
    ),
  };
}

/** The entries of a body that say more than `defaults` do. */
function beyond(body: object, defaults: Record<string, unknown>): object {
  const more: Record<string, unknown> = {};
  for (const [key, value] of Object.entries(body))
    if (!(key in defaults) || !isSame(value, defaults[key])) more[key] = value;
  return more;
}

function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  // Most of what can be left out is empty; telling that apart needs no text.
  if (Object.keys(a).length !== Object.keys(b).length) return false;
  return canonicalJson(a) === canonicalJson(b);
}

/** Orders are written as their names, as they were before any others could be chosen. */
const { order: _order, ...usualCategory } = categoryDefaults;
const groupDefaults = {
  category: { ...usualCategory, sort: orderText(FEATURED_FIRST) },
  collection: collectionDefaults,
  brand: namedDefaults,
  tag: namedDefaults,
};
const isGroup = (kind: DocumentKind): kind is keyof typeof groupDefaults => kind in groupDefaults;

function groupText(kind: keyof typeof groupDefaults, body: object & { order?: Order }): string {
  const { order, ...rest } = body;
  return canonicalJson(beyond({ ...rest, ...(order && { sort: orderText(order) }) }, groupDefaults[kind]));
}

function groupBody(kind: keyof typeof groupDefaults, text: string): ShopDocument['body'] {
  const { sort, ...body } = { ...groupDefaults[kind], ...(JSON.parse(text) as object) } as { sort?: string };
  return { ...body, ...(sort !== undefined && { order: orderOfText(sort) }) } as ShopDocument['body'];
}

/**
 * The text of a document. What stands at its default is left out, so that a document keeps its text, and its hash, when
 * products learn new fields.
 */
export function documentText(document: ShopDocument): string {
  if (isGroup(document.kind)) return groupText(document.kind, document.body);
  if (document.kind !== 'product') return canonicalJson(document.body);
  const body = productDocument(document.body as Product);
  const variants = body.variants.map((variant) => beyond(variant, usualVariant));
  // The ground is seen only behind a picture that does not fill its frame.
  const pictures = body.pictures.map(({ fit, ground, ...picture }) =>
    fit === 'fits' ? { ...picture, fit, ground } : picture,
  );
  const options = body.options.map((option) => ({
    ...option,
    values: option.values.map((value) => beyond(value, usualOptionValue)),
  }));
  return canonicalJson({ ...beyond(body, usualProduct), options, variants, pictures });
}

/** The body that `documentText` wrote. */
export function documentBody(kind: DocumentKind, text: string): ShopDocument['body'] {
  if (isGroup(kind)) return groupBody(kind, text);
  const body = JSON.parse(text) as ShopDocument['body'];
  if (kind !== 'product') return body;
  const product = body as ProductDocument;
  return {
    ...usualProduct,
    ...product,
    options: product.options.map((option) => ({
      ...option,
      values: option.values.map((value) => ({ ...usualOptionValue, ...value })),
    })),
    variants: product.variants.map((variant) => ({ ...usualVariant, ...variant })),
    pictures: product.pictures.map((picture) => ({ ...usualPicture, ...picture })),
  };
}

/** True for a document that belongs into an edition: products only when they are to be live. */
export function isForShoppers(document: Pick<ShopDocument, 'kind' | 'body'>): boolean {
  return document.kind !== 'product' || (document.body as ProductDocument).standing === 'live';
}

/** JSON with sorted keys: equal bodies give equal text. */
export function canonicalJson(value: unknown): string {
  if (value === null || typeof value !== 'object') return JSON.stringify(value) ?? 'null';
  let text = '';
  if (Array.isArray(value)) {
    for (const item of value) text += text === '' ? canonicalJson(item) : `,${canonicalJson(item)}`;
    return `[${text}]`;
  }
  // Written out: every save, and every edition of a whole catalog, comes through here.
  for (const key of Object.keys(value).sort()) {
    const item = (value as Record<string, unknown>)[key];
    if (item !== undefined) text += `${text === '' ? '' : ','}${JSON.stringify(key)}:${canonicalJson(item)}`;
  }
  return `{${text}}`;
}
