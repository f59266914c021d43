import type { Shop } from '../shop/shop';
import { relatedSlots } from './relation-strips';

/**
 * Slots of what goes with some products, but for themselves: what goes with most of them first, then in the order in which it
 * stands beside them. What is sold out is of no use to whoever is about to order. O(products).
 */
export function goesWithAll(shop: Shop, productIds: readonly string[], count: number): number[] {
  const own = new Set(productIds.map((id) => shop.index.slot(id)));
  const found = new Map<number, number>();
  for (const id of new Set(productIds)) {
    const product = shop.products.get(id);
    const strip = product && relatedSlots(shop, product, shop.now).find(({ kind }) => kind === 'goesWith');
    for (const slot of strip?.slots ?? []) {
      const isOfUse = !own.has(slot) && shop.facts(shop.index.id(slot))!.stock !== 0;
      if (isOfUse) found.set(slot, (found.get(slot) ?? 0) + 1);
    }
  }
  // Sorting keeps the order of those that are even.
  return [...found]
    .sort(([, a], [, b]) => b - a)
    .slice(0, count)
    .map(([slot]) => slot);
}
