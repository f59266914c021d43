import { relationKinds, type RelationKind } from '../model/product-values';
import { isPartShown } from '../model/product-layout';
import type { ProductDocument } from '../model/document';
import { membersOf } from '../rules/members';
import { cardOf } from './card';
import { type ProductCard } from './views';
import { firstSlots } from './pages/place-goods';
import { cachedByVersion } from '../shop/cached-by-version';
import type { Shop } from '../shop/shop';

/** A strip of products on the page of another. */
export interface RelationStrip {
  kind: RelationKind;
  title: string;
  cards: ProductCard[];
}

/** Most products of a strip. */
const MOST = 8;
const MOST_OF_CATEGORY = 4;

function slotsOf(shop: Shop, product: ProductDocument, kind: RelationKind, now: number): number[] {
  const relation = product.relations[kind];
  const own = shop.index.slot(product.id);
  if (relation.how === 'picked') {
    const { listed } = shop;
    return relation.ids.flatMap((id) => shop.index.slot(id) ?? []).filter((slot) => slot !== own && listed.has(slot));
  }
  if (relation.how === 'rule') {
    const members = membersOf(relation.rule, shop.index, shop.fields, now).and(shop.listed);
    return shop.index.orderedSlots(members, 'featured').filter((slot) => slot !== own);
  }
  const main = product.categoryIds[0];
  if (relation.how === 'none' || main === undefined) return [];
  const known = firstOfCategory(shop);
  let first = known.get(main);
  if (!first)
    known.set(main, (first = firstSlots(shop, { kind: 'category', id: main }, MOST_OF_CATEGORY + 1, now).slots));
  return first.filter((slot) => slot !== own).slice(0, MOST_OF_CATEGORY);
}

/** First goods of each category, until the shop changes: most products ask for those of theirs. */
const firstOfCategory = cachedByVersion(() => new Map<string, readonly number[]>());

/** The products of each strip on the page of one, those left out that have no products or are hidden in its layout. */
export function relatedSlots(
  shop: Shop,
  product: ProductDocument,
  now: number,
): { kind: RelationKind; slots: number[] }[] {
  return relationKinds.flatMap((kind) => {
    if (!isPartShown(shop.settings.productPage, product, kind)) return [];
    const slots = slotsOf(shop, product, kind, now).slice(0, MOST);
    return slots.length ? [{ kind, slots }] : [];
  });
}

/** The strips of a product page. */
export const relationStrips = (shop: Shop, product: ProductDocument, now: number): RelationStrip[] =>
  relatedSlots(shop, product, now).map(({ kind, slots }) => ({
    kind,
    title: shop.say(`strip.${kind}`),
    cards: slots.map((slot) => cardOf(shop, slot)),
  }));
