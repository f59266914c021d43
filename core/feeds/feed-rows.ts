import type { Feed } from '../model/feed';
import { membersOf } from '../rules/members';
import { Bitset } from '../search/bitset';
import type { Shop } from '../shop/shop';
import { shopStock } from '../shop/shop-price';
import { pricingOf } from '../storefront/card';
import { toldIn } from '../storefront/languages';
import { feedValueOf, type FeedEntry, type FeedTerms } from './feed-values';

/** What a field of an entry holds; a list stands for several of one name. */
type FeedCell = string | readonly string[];

/** An entry as a format writes it. */
export interface FeedRow {
  entry: FeedEntry;
  cells: readonly FeedCell[];
}

const BASIS = 10_000;

/** The price that a feed asks for one of the shop, minor units; never below zero. */
export const feedPrice = ({ dearer, more }: Pick<Feed, 'dearer' | 'more'>, price: number): number =>
  Math.max(0, Math.round((price * (BASIS + dearer)) / BASIS) + more);

/** The goods of a feed that shoppers can meet in the shop. */
export function feedGoods(shop: Shop, { goods }: Pick<Feed, 'goods'>): string[] {
  const { index, listed } = shop;
  if (goods.how === 'picked')
    return goods.ids.filter((id) => {
      const slot = index.slot(id);
      return slot !== undefined && listed.has(slot);
    });
  const set =
    goods.how === 'all'
      ? new Bitset(listed.size).or(listed)
      : membersOf(goods.rule, index, shop.fields, shop.now).and(listed);
  return index.orderedSlots(set, 'featured').map((slot) => index.id(slot));
}

/** The entries of a feed, one after another. Whose price shoppers are not told now is left out. */
export function* feedRows(main: Shop, feed: Feed, origin: string): Generator<FeedRow> {
  const { shop, base } = toldIn(main, feed.locale);
  const terms: FeedTerms = { shop, origin, base, pages: origin + base, priced: (price) => feedPrice(feed, price) };
  const values = feed.fields.map(({ from, words }) => feedValueOf(from)?.read ?? (() => words));
  for (const id of feedGoods(shop, feed)) {
    const product = shop.products.get(id)!;
    const isInStock = product.variants.some(({ id: variantId }) => shopStock(shop, product, variantId) !== 0);
    if (pricingOf(product, isInStock) !== 'shown') continue;
    const isOne = feed.per === 'variants' && product.variants.length > 1;
    for (const variant of feed.per === 'variants' ? product.variants : product.variants.slice(0, 1)) {
      const entry = { product, variant, isOne };
      const stock = shopStock(shop, product, variant.id);
      if (!feed.soldOut && stock !== null && stock <= 0) continue;
      const cells = values.map((read): FeedCell => {
        const value = read(entry, terms);
        return Array.isArray(value) ? (value as readonly string[]) : String(value ?? '');
      });
      yield { entry, cells };
    }
  }
}
