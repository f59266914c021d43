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

/** What only the seller knows, and what is live, such as stock: no part of a document. */
const hidden = {
  product: ['supplier'],
  option: ['listId'],
  variant: ['stock', 'cost', 'warnAt', 'supplierNumber'],
} as const satisfies { product: (keyof Product)[]; option: (keyof Option)[]; variant: (keyof Variant)[] };

export type VariantDocument = Omit<Variant, (typeof hidden.variant)[number]>;
type OptionDocument = Omit<Option, (typeof hidden.option)[number]>;
export type ProductDocument = Omit<Product, 'variants' | 'options' | (typeof hidden.product)[number]> & {
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

/** How the text of a body differs from that of all it holds. */
interface Written {
  /** left out */
  hidden?: readonly string[];
  /** left out while it is as here */
  usual?: Readonly<Record<string, unknown>>;
  /** written in another way, as these texts */
  parts?: Readonly<Record<string, string>>;
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
  return objectText({ ...rest, ...(order && { sort: orderText(order) }) }, { usual: groupDefaults[kind] });
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
  const { options, variants, pictures } = document.body;
  return objectText(document.body, {
    hidden: hidden.product,
    usual: usualProduct,
    parts: {
      options: listText(options, (option) => {
        const values = listText(option.values, (value) => objectText(value, { usual: usualOptionValue }));
        return objectText(option, { hidden: hidden.option, parts: { values } });
      }),
      variants: listText(variants, (variant) => objectText(variant, writtenVariant)),
      // The ground is seen only behind a picture that does not fill its frame.
      pictures: listText(pictures, (picture) => objectText(picture, picture.fit === 'fits' ? {} : filledPicture)),
    },
  });
}

const writtenVariant = { hidden: hidden.variant, usual: usualVariant };
const filledPicture = { hidden: ['fit', 'ground'] };

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

/** Keys that are kept as JSON text; there are few of them, but for those of specs. */
const MOST_KEYS = 10_000;
const keyTexts = new Map<string, string>();

function keyText(key: string): string {
  let text = keyTexts.get(key);
  if (text === undefined) {
    text = `${JSON.stringify(key)}:`;
    if (keyTexts.size < MOST_KEYS) keyTexts.set(key, text);
  }
  return text;
}

function sortedKeys(value: object): string[] {
  const keys = Object.keys(value);
  for (let i = 1; i < keys.length; i++) if (keys[i - 1]! > keys[i]!) return keys.sort();
  return keys;
}

/** JSON with sorted keys: equal bodies give equal text. Every save, and every edition of a whole catalog, comes through here. */
export function canonicalJson(value: unknown): string {
  if (value === null || value === true || value === false) return String(value);
  if (typeof value === 'number') return Number.isFinite(value) ? String(value) : 'null';
  if (typeof value !== 'object') return JSON.stringify(value) ?? 'null';
  return Array.isArray(value) ? listText(value, canonicalJson) : objectText(value, {});
}

function listText<T>(items: readonly T[], textOf: (item: T) => string): string {
  let text = '';
  for (let i = 0; i < items.length; i++) text += i === 0 ? textOf(items[i]!) : `,${textOf(items[i]!)}`;
  return `[${text}]`;
}

function objectText(body: object, { hidden = [], usual = {}, parts = {} }: Written): string {
  let text = '';
  for (const key of sortedKeys(body)) {
    const value = (body as Record<string, unknown>)[key];
    if (value === undefined || hidden.includes(key) || (key in usual && isSame(value, usual[key]))) continue;
    text += (text === '' ? '' : ',') + keyText(key) + (Object.hasOwn(parts, key) ? parts[key]! : canonicalJson(value));
  }
  return `{${text}}`;
}
