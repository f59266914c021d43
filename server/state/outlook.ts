import { LOOKED_AT, runOut, type RunOut } from '../../core/forecast/run-out';
import type { Product } from '../../core/model/product';
import { readMostViewed } from '../store/page-views';
import type { Catalog } from './catalog';

const DAY = 86_400;
/** How often goods were looked at is told of so many days. */
const VIEWED_DAYS = 30;

/** What sales so far say of a product. */
export interface Outlook {
  /** pieces that are counted and left */
  stock: number;
  /** undefined where nothing was sold, so that nothing is known */
  forecast: RunOut | undefined;
}

/** Pieces of a product that are counted and left; null where none of its variants is counted. */
export function stockOf({ working }: Catalog, { variants }: Pick<Product, 'variants'>): number | null {
  const counted = variants.flatMap(({ id }) => working.stock.get(id) ?? []);
  return counted.length === 0 ? null : counted.reduce((sum, pieces) => sum + Math.max(0, pieces), 0);
}

/** What was sold of a product on each of the last days, today first; not further back than it has been sold. */
function lastDays({ working, now }: Catalog, product: Product): number[] {
  const today = Math.floor(now / DAY) * DAY;
  const made = Math.floor(Date.parse(product.created) / 1_000 / DAY) * DAY;
  const known = working.salesOf(product.id);
  const first = Math.min(made, known.at(-1)?.day ?? today);
  const days = new Array<number>(Math.max(1, Math.min(LOOKED_AT, (today - first) / DAY + 1))).fill(0);
  for (const { day, pieces } of known) {
    const ago = (today - day) / DAY;
    if (ago >= 0 && ago < days.length) days[ago]! += pieces;
  }
  return days;
}

interface Kept {
  state: string;
  outlooks: ReadonlyMap<string, Outlook>;
  /** by slot */
  daysLeft: Float64Array;
}

const kept = new WeakMap<Catalog, Kept>();

function known(catalog: Catalog): Kept {
  const { working, now } = catalog;
  const { shop, products } = working;
  const state = `${shop.version} ${Math.floor(now / DAY)}`;
  const before = kept.get(catalog);
  if (before?.state === state) return before;
  const outlooks = new Map<string, Outlook>();
  const daysLeft = new Float64Array(shop.index.alive.size).fill(NaN);
  for (const product of products.values()) {
    const stock = stockOf(catalog, product);
    if (stock === null) continue;
    const forecast = runOut(stock, lastDays(catalog, product));
    outlooks.set(product.id, { stock, forecast });
    const slot = shop.index.slot(product.id);
    if (slot !== undefined && forecast) daysLeft[slot] = Math.round(forecast.likely);
  }
  const made = { state, outlooks, daysLeft };
  kept.set(catalog, made);
  return made;
}

/** When counted goods run out, worked out once for each state of the goods and day. O(products × days looked at). */
export const outlooksOf = (catalog: Catalog): ReadonlyMap<string, Outlook> => known(catalog).outlooks;

/** In how many days goods run out, as likely sooner as later, by slot; NaN where that is not known. */
export const daysLeftBySlot = (catalog: Catalog): ArrayLike<number> => known(catalog).daysLeft;

/** How often goods were looked at in the last days, by slot. */
export function viewsBySlot(catalog: Catalog): Float64Array {
  const { index } = catalog.working.shop;
  const until = (Math.floor(catalog.now / DAY) + 1) * DAY;
  const views = new Float64Array(index.alive.size);
  for (const [id, times] of readMostViewed(catalog.db, 'product', until - VIEWED_DAYS * DAY, until)) {
    const slot = index.slot(id);
    if (slot !== undefined) views[slot] = times;
  }
  return views;
}

/** Pieces sold for a hundred times that goods were looked at in the last days, in hundredths, by slot; NaN where nobody looked. */
export function conversionBySlot(catalog: Catalog): Float64Array {
  const { working, now } = catalog;
  const { index } = working.shop;
  const since = (Math.floor(now / DAY) + 1 - VIEWED_DAYS) * DAY;
  return viewsBySlot(catalog).map((times, slot) => {
    if (times === 0) return NaN;
    const sold = working
      .salesOf(index.id(slot))
      .reduce((sum, { day, pieces }) => (day >= since ? sum + pieces : sum), 0);
    return Math.round((sold / times) * 10_000);
  });
}
