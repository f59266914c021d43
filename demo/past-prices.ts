import { written } from '../core/history/done';
import type { Variant } from '../core/model/product';
import type { Catalog } from '../server/state/catalog';
import { setVariants } from '../server/store/put-products';

/** A change of prices in the past of the demo shop. */
interface PastPrices {
  /** days before today on which it went live */
  daysAgo: number;
  label: string;
  /** which goods it changed, of every five, and their prices before, as a share of those after */
  every: number;
  was: number;
}

const pastPrices: readonly PastPrices[] = [
  { daysAgo: 228, label: 'Prices for the summer', every: 0, was: 0.94 },
  { daysAgo: 131, label: 'Cloth became dearer', every: 2, was: 0.91 },
  { daysAgo: 58, label: 'Last year’s colours cost less', every: 3, was: 1.12 },
];
const OPENED_DAYS_AGO = 372;

/** Prices end in .00, .50 or .90, as those of the shop do. */
function niceAmount(amount: number): number {
  const whole = Math.floor(amount / 100) * 100;
  return [0, 50, 90, 100]
    .map((end) => whole + end)
    .reduce((a, b) => (Math.abs(b - amount) < Math.abs(a - amount) ? b : a));
}

/**
 * Puts the shop live as it was when it opened, and again for each change of prices since, so that prices have a past.
 * `turnTo` sets the clock of the catalog to so many days before today; it ends as it was.
 */
export function putPastEditions(catalog: Catalog, userId: string, turnTo: (daysAgo: number) => void): void {
  const goods = [...catalog.working.products.values()].filter(({ kind }) => kind === 'physical');
  const now = new Map(goods.map(({ id, variants }) => [id, variants]));
  const reprice = (
    label: string,
    concerned: (place: number) => boolean,
    prices: (place: number, variant: Variant) => number,
  ) =>
    catalog.journal.change(written(label), catalog.actor(userId), () => {
      goods.forEach(({ id }, place) => {
        if (!concerned(place)) return;
        const variants = now.get(id)!.map((variant) => ({ ...variant, price: prices(place, variant) }));
        setVariants(catalog.db, id, variants, new Set(variants.map((variant) => variant.id)));
      });
    });
  turnTo(OPENED_DAYS_AGO);
  reprice(
    'Prices of the first day',
    (place) => pastPrices.some(({ every }) => place % 5 === every),
    (place, { price, salePrice }) =>
      // A sale price has to stay below.
      Math.max(niceAmount(price * pastPrices.find(({ every }) => place % 5 === every)!.was), (salePrice ?? 0) + 100),
  );
  catalog.putLive('Opened the shop', userId);
  for (const { daysAgo, label, every } of pastPrices) {
    turnTo(daysAgo);
    reprice(
      label,
      (place) => place % 5 === every,
      (_, { price }) => price,
    );
    catalog.putLive(label, userId);
  }
  turnTo(0);
}
