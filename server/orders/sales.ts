import type { DaySales } from '../../core/shop/facts';
import { addSale, readSales } from '../store/sales';
import type { Catalog } from '../state/catalog';

export interface Sale extends DaySales {
  productId: string;
}

/**
 * Notes what was sold. Like stock that shoppers take it holds in both shops at once, and is not undone: rules and orders
 * ask for it.
 */
export function recordSales(catalog: Catalog, sales: readonly Sale[]): void {
  const { db, working, live } = catalog;
  db.transaction(() => {
    for (const { productId, ...sale } of sales) addSale(db, productId, sale);
  })();
  working.takeUpSales(readSales(db));
  const sold = [...new Set(sales.map(({ productId }) => productId))];
  working.shop.take({ refreshed: sold });
  live.shop.take({ refreshed: sold });
}
