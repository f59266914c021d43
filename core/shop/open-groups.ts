import { statusAt } from '../products/status';
import type { AddressedKind, ProductDocument } from '../model/document';
import type { Shop } from './shop';

export type GroupKind = 'category' | 'collection' | 'brand' | 'tag';

/** A group that has a listing of its own. */
export interface GroupRef {
  kind: GroupKind;
  id: string;
}

/** First part of the address of a listing. */
export const groupPath: Readonly<Record<GroupKind, string>> = { category: 'c', collection: 'g', brand: 'b', tag: 't' };

/** First part of the address of anything that has one of its own. */
export const addressPath: Readonly<Record<AddressedKind, string>> = { ...groupPath, product: 'p', page: 'page' };

/** The groups of a kind by id. */
export function groupsOf(shop: Shop, kind: GroupKind) {
  return { category: shop.categories, collection: shop.collections, brand: shop.brands, tag: shop.tags }[kind];
}

/**
 * Do shoppers meet the listing of this group now? A category is closed by any above it that is off; a collection is open
 * from its first to its last day; brands and tags only where they are to be listed.
 */
export function isOpen(shop: Shop, { kind, id }: GroupRef): boolean {
  if (shop.isUntold(kind, id)) return false;
  switch (kind) {
    case 'category': {
      const path = shop.tree.path(id);
      return path.length > 0 && path.every(({ status }) => status === 'live');
    }
    case 'collection': {
      const collection = shop.collections.get(id);
      return collection !== undefined && statusAt(collection, shop.now) === 'live';
    }
    default:
      return groupsOf(shop, kind).has(id) && (kind === 'brand' ? shop.brands : shop.tags).get(id)!.listed;
  }
}

/** The address of an open group's listing; undefined while shoppers do not meet it. */
export function urlOfGroup(shop: Shop, group: GroupRef): string | undefined {
  if (!isOpen(shop, group)) return undefined;
  return `/${groupPath[group.kind]}/${groupsOf(shop, group.kind).get(group.id)!.slug}`;
}

/** A product that shoppers can open the page of now; undefined for any other. */
export function productOnShop(shop: Shop, id: string | undefined): ProductDocument | undefined {
  const product = shop.products.get(id ?? '');
  return product && statusAt(product, shop.now) === 'live' && !shop.isUntold('product', product.id)
    ? product
    : undefined;
}
