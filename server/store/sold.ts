import type { Db } from '../database/connection';

/** Orders that count: what was called off sold nothing. */
const COUNTS = `status <> 'cancelled'`;

export interface SoldOnDay {
  /** such as 2026-05-04, UTC */
  day: string;
  orders: number;
  value: number;
  pieces: number;
}

/** What was ordered, day by day, between two moments (ISO). Days without orders are left out. */
export const readSoldByDay = (db: Db, from: string, until: string): SoldOnDay[] =>
  db
    .prepare(
      `SELECT substr(at, 1, 10) AS day, count(*) AS orders, sum(total) AS value,
         sum((SELECT sum(line.value ->> 'quantity') FROM json_each(body, '$.lines') AS line)) AS pieces
       FROM shop_order WHERE at >= ? AND at < ? AND ${COUNTS} GROUP BY day ORDER BY day`,
    )
    .all(from, until) as SoldOnDay[];

/** What left the shelf of each variant, alone or as part of a bundle, by day (UTC), between two moments (ISO). */
export const readTakenByVariant = (
  db: Db,
  from: string,
  until: string,
): { variantId: string; day: string; pieces: number }[] =>
  db
    .prepare(
      `SELECT take.value ->> 'variantId' AS variantId, substr(at, 1, 10) AS day,
         sum((line.value ->> 'quantity') * (take.value ->> 'quantity')) AS pieces
       FROM shop_order, json_each(body, '$.lines') AS line, json_each(line.value, '$.takes') AS take
       WHERE at >= ? AND at < ? AND ${COUNTS} GROUP BY variantId, day`,
    )
    .all(from, until) as { variantId: string; day: string; pieces: number }[];

/** Pieces and money by product, the most money first. */
export const readSoldByProduct = (
  db: Db,
  from: string,
  until: string,
): { productId: string; pieces: number; value: number }[] =>
  db
    .prepare(
      `SELECT line.value ->> 'productId' AS productId, sum(line.value ->> 'quantity') AS pieces,
         sum(line.value ->> 'total') AS value
       FROM shop_order, json_each(body, '$.lines') AS line WHERE at >= ? AND at < ? AND ${COUNTS}
       GROUP BY productId ORDER BY value DESC, productId`,
    )
    .all(from, until) as { productId: string; pieces: number; value: number }[];
