import type { Sale } from '../server/orders/sales';
import { seeded, seedOf } from './random';

const DAY = 86_400;

/** How well each month sells, January first: kites fly in spring and summer, and lie under trees in December. */
const season = [0.4, 0.5, 0.9, 1.3, 1.5, 1.4, 1.6, 1.5, 1.1, 0.8, 0.6, 1.2];

/**
 * One year of sales of a product up to `now` (ms since 1970), the same each time for the same title. Some sell every other
 * day, most now and then, a few hardly at all.
 */
export function salesOf(title: string, productId: string, now: number): Sale[] {
  const random = seeded(seedOf(`${title} sales`));
  const liking = random() ** 3 * 0.55 + 0.004;
  const today = Math.floor(now / 1000 / DAY) * DAY;
  const sales: Sale[] = [];
  for (let ago = 364; ago >= 0; ago--) {
    const day = today - ago * DAY;
    const chance = liking * season[new Date(day * 1000).getUTCMonth()]!;
    if (random() < chance) sales.push({ productId, day, pieces: 1 + Math.floor(random() ** 4 * 4) });
  }
  return sales;
}
