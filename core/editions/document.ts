import type { Brand, Category, Collection, Tag } from '../catalog/group';
import type { Product, Variant } from '../catalog/product';
import type { Menu, Page, Settings } from '../placement/page';

/** What shoppers may see of a variant. Stock is live and cost is nobody's business, so neither is part of it. */
export type VariantDocument = Omit<Variant, 'stock' | 'cost'>;
export type ProductDocument = Omit<Product, 'variants'> & { variants: VariantDocument[] };

export interface DocumentBodies {
  product: ProductDocument;
  category: Category;
  collection: Collection;
  brand: Brand;
  tag: Tag;
  page: Page;
  menu: Menu;
  settings: Settings;
}
export type DocumentKind = keyof DocumentBodies;
export const documentKinds = [
  'settings',
  'brand',
  'tag',
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

/** A product as its document: without stock and cost. */
export function productDocument(product: Product): ProductDocument {
  return {
    ...product,
    variants: product.variants.map(({ stock: _stock, cost: _cost, ...variant }) => variant),
  };
}

/** True for a document that belongs into an edition: products only when they are to be live. */
export function isForShoppers(document: Pick<ShopDocument, 'kind' | 'body'>): boolean {
  return document.kind !== 'product' || (document.body as ProductDocument).standing === 'live';
}

/** JSON with sorted keys: equal bodies give equal text. */
export function canonicalJson(value: unknown): string {
  if (value === null || typeof value !== 'object') return JSON.stringify(value) ?? 'null';
  if (Array.isArray(value)) return `[${value.map(canonicalJson).join(',')}]`;
  const entries = Object.entries(value).filter(([, item]) => item !== undefined);
  entries.sort(([a], [b]) => (a < b ? -1 : 1));
  return `{${entries.map(([key, item]) => `${JSON.stringify(key)}:${canonicalJson(item)}`).join(',')}}`;
}
