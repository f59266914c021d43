import type { SellersOwn } from './fields';
import type { ChosenListing } from './chosen-listing';
import type { Brand, Category, Collection, Tag } from './group';
import type { Embed } from './embed';
import type { Feed } from './feed';
import type { Forward } from './forward';
import type { Menu } from './menu';
import type { Offer } from './offer';
import type { Page } from './page';
import type { Option, Product, Variant } from './product';
import type { ProductFields } from './product-fields';
import type { Settings } from './settings';
import type { SpecSheet } from './spec-sheet';
import type { VariantFields } from './variant-fields';
import type { Wording } from './wording';

/**
 * Products as an edition holds them: what shoppers meet, or meet the effect of, as the fields declare. Cost and supplier are
 * no shopper's business, but collections are filled and sorted by them.
 */
export type VariantDocument = Omit<Variant, SellersOwn<VariantFields>>;
export const optionDocumentKeys = ['id', 'name', 'values'] as const satisfies readonly (keyof Option)[];
type OptionDocument = Pick<Option, (typeof optionDocumentKeys)[number]>;
export type ProductDocument = Omit<Product, 'variants' | 'options' | SellersOwn<ProductFields>> & {
  options: OptionDocument[];
  variants: VariantDocument[];
};

/** An address that forwards to whatever the target's address is. */
export interface Redirect {
  kind: AddressedKind;
  slug: string;
  targetId: string;
}

export interface DocumentBodies {
  product: ProductDocument;
  category: Category;
  collection: Collection;
  brand: Brand;
  tag: Tag;
  specSheet: SpecSheet;
  page: Page;
  offer: Offer;
  embed: Embed;
  feed: Feed;
  menu: Menu;
  settings: Settings;
  redirect: Redirect;
  /** by its path */
  forward: Forward;
  chosenListing: ChosenListing;
  wording: Wording;
  /** a translation that nobody has looked at yet: no shopper meets it */
  wordingDraft: Wording;
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
  'offer',
  'embed',
  'feed',
  'menu',
  'redirect',
  'forward',
  'chosenListing',
  'wording',
  'wordingDraft',
] as const satisfies readonly DocumentKind[];

/** Kinds of which each thing has an address of its own. */
export const addressedKinds = ['product', 'category', 'collection', 'brand', 'tag', 'page'] as const;
export type AddressedKind = (typeof addressedKinds)[number];

/** Key of the redirect at an address. */
export const redirectKey = ({ kind, slug }: Pick<Redirect, 'kind' | 'slug'>): string => `${kind}/${slug}`;

/** One thing that an edition holds, such as a product or the menu. `key` is its id. */
export type ShopDocument = { [K in DocumentKind]: { kind: K; key: string; body: DocumentBodies[K] } }[DocumentKind];

/** Key of the documents of which a shop has just one. */
export const SINGLE_KEY = 'shop';

/** True for a document that belongs into an edition: products only when they are to be live, and no drafts of translations. */
export function isForShoppers(document: Pick<ShopDocument, 'kind' | 'body'>): boolean {
  if (document.kind === 'wordingDraft') return false;
  return document.kind !== 'product' || (document.body as ProductDocument).status === 'live';
}
