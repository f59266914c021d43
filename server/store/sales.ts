import type { DaySales } from '../../core/shop/facts';
import type { Db } from '../database/connection';

/** What was sold of each product, or of these, by day, the last day first. */
export function readSales(db: Db, productIds?: readonly string[]): Map<string, DaySales[]> {
  const sales = new Map<string, DaySales[]>();
  const some = productIds ? 'WHERE product_id IN (SELECT value FROM json_each(?))' : '';
  const rows = db
    .prepare(`SELECT product_id, day, pieces FROM sale ${some} ORDER BY product_id, day DESC`)
    .raw()
    .iterate(...(productIds ? [JSON.stringify(productIds)] : []));
  for (const [productId, day, pieces] of rows as Iterable<[string, number, number]>) {
    const known = sales.get(productId);
    if (known) known.push({ day, pieces });
    else sales.set(productId, [{ day, pieces }]);
  }
  return sales;
}

/** Takes from what was sold of a product on a day: it came back. */
export function dropSale(db: Db, productId: string, { day, pieces }: DaySales): void {
  db.prepare(`DELETE FROM sale WHERE product_id = ? AND day = ? AND pieces <= ?`).run(productId, day, pieces);
  db.prepare(`UPDATE sale SET pieces = pieces - ? WHERE product_id = ? AND day = ?`).run(pieces, productId, day);
}

/** Adds to what was sold of a product on a day (midnight UTC, seconds since 1970). */
export function addSale(db: Db, productId: string, { day, pieces }: DaySales): void {
  db.prepare(
    `INSERT INTO sale (product_id, day, pieces) VALUES (?, ?, ?)
     ON CONFLICT DO UPDATE SET pieces = pieces + excluded.pieces`,
  ).run(productId, day, pieces);
}
