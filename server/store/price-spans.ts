import type { ProductDocument } from '../../core/model/document';
import { lowestBefore, type AskedSpan, type PriceSpan } from '../../core/pricing/lowest';
import { statement } from '../database/statements';
import type { Db } from '../database/connection';

/** Notes what the variants of these products cost from `at` (ISO) on, where that is new. */
export function notePrices(db: Db, at: string, products: Iterable<ProductDocument>): void {
  const put = db.prepare(
    `INSERT INTO price_span (variant_id, since, price, sale_price, sale_from, sale_until)
     SELECT @id, @since, @price, @salePrice, @saleFrom, @saleUntil
     WHERE NOT EXISTS (
       SELECT 1 FROM price_span WHERE variant_id = @id
         AND since = (SELECT max(since) FROM price_span WHERE variant_id = @id)
         AND price IS @price AND sale_price IS @salePrice AND sale_from IS @saleFrom AND sale_until IS @saleUntil)
     ON CONFLICT DO UPDATE SET price = excluded.price, sale_price = excluded.sale_price,
       sale_from = excluded.sale_from, sale_until = excluded.sale_until`,
  );
  const since = Math.floor(Date.parse(at) / 1000);
  for (const { saleFrom, saleUntil, variants } of products)
    for (const { id, price, salePrice } of variants) {
      const isOnSale = salePrice !== null;
      put.run({
        id,
        since,
        price,
        salePrice,
        saleFrom: isOnSale ? saleFrom : null,
        saleUntil: isOnSale ? saleUntil : null,
      });
    }
}

/** What variants cost since when, each in rising order. */
export function readPriceSpans(db: Db, variantIds: readonly string[]): Map<string, PriceSpan[]> {
  const rows = db
    .prepare(
      `SELECT variant_id AS id, since, price, sale_price AS salePrice, sale_from AS saleFrom, sale_until AS saleUntil
       FROM price_span WHERE variant_id IN (SELECT value FROM json_each(?)) ORDER BY variant_id, since`,
    )
    .all(JSON.stringify(variantIds)) as (PriceSpan & { id: string })[];
  const spans = new Map<string, PriceSpan[]>();
  for (const { id, ...span } of rows) {
    const list = spans.get(id);
    if (list) list.push(span);
    else spans.set(id, [span]);
  }
  return spans;
}

/** Notes what variants are asked for under offers from `since` (seconds since 1970) on, where that is new; null for no offer. */
export function putAsked(db: Db, since: number, asked: readonly { variantId: string; price: number | null }[]): void {
  const put = statement(
    db,
    `INSERT INTO asked_price (variant_id, since, price) SELECT @variantId, @since, @price
     WHERE (SELECT price FROM asked_price WHERE variant_id = @variantId ORDER BY since DESC LIMIT 1) IS NOT @price
     ON CONFLICT DO UPDATE SET price = excluded.price`,
  );
  db.transaction(() => {
    for (const each of asked) put.run({ ...each, since });
  })();
}

/** What a variant was asked for under offers since when, in rising order. */
export const readAsked = (db: Db, variantId: string): AskedSpan[] =>
  statement(db, `SELECT since, price FROM asked_price WHERE variant_id = ? ORDER BY since`).all(
    variantId,
  ) as AskedSpan[];

/** Answers the lowest price of the 30 days before the reduction of a variant that holds at a moment. */
export function lowestOf(db: Db): (variantId: string, now: number) => number | undefined {
  const sql = `SELECT since, price, sale_price AS salePrice, sale_from AS saleFrom, sale_until AS saleUntil
    FROM price_span WHERE variant_id = ? ORDER BY since`;
  return (variantId, now) =>
    lowestBefore(statement(db, sql).all(variantId) as PriceSpan[], now, readAsked(db, variantId));
}
