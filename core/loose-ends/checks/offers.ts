import { formatMoney } from '../../shared/money';
import type { Check } from '../check';

/** A floor holds prices above the cost; where that is not known, nothing does. */
const isGivenAway = (price: number, { price: list, cost }: { price: number; cost: number | null }) =>
  price === 0 || (cost === null && price * 2 < list);

export const giveAway: Check = {
  key: 'giveAway',
  label: 'Offer that gives goods away',
  about:
    'Under it, something costs nothing, or less than half where no floor holds because its cost is not known. Type the cost, or leave those goods out.',
  harm: 9,
  find: ({ shop, products, seen }) => {
    const found = new Map<string, { count: number; share: number; worst: string }>();
    for (const product of products.values()) {
      const document = shop.products.get(product.id);
      if (!document || product.status !== 'live' || shop.offersOf(product.id).length === 0) continue;
      for (const variant of document.variants) {
        const { price, used } = shop.offered(document, variant);
        const last = used.at(-1)?.offer;
        if (!last || !isGivenAway(price, variant)) continue;
        const before = found.get(last.id);
        found.set(last.id, {
          count: (before?.count ?? 0) + 1,
          share: Math.max(before?.share ?? 0, seen(product.id)),
          worst: before?.worst ?? `${product.title} for ${formatMoney(price, shop.settings.currency)}`,
        });
      }
    }
    return [...found].map(([id, { count, share, worst }]) => ({
      on: { kind: 'offer' as const, key: id, title: shop.offers.get(id)!.name },
      words: count === 1 ? worst : `${worst}, and ${count - 1} more`,
      share,
    }));
  },
};
