import type { Db } from '../database/connection';

export interface PageViews {
  /** midnight UTC, seconds since 1970 */
  day: number;
  kind: string;
  id: string;
  times: number;
  /** how many of them were the first page of a visit */
  entries: number;
}

export function noteViews(db: Db, views: PageViews): void {
  db.prepare(
    `INSERT INTO page_view (day, kind, id, times, entries) VALUES (@day, @kind, @id, @times, @entries)
     ON CONFLICT DO UPDATE SET times = times + excluded.times, entries = entries + excluded.entries`,
  ).run(views);
}

/** How often a product was opened from a place on a day. */
export interface MetOnDay {
  /** midnight UTC, seconds since 1970 */
  day: number;
  productId: string;
  kind: string;
  id: string;
  times: number;
}

export function noteMet(db: Db, met: MetOnDay): void {
  db.prepare(
    `INSERT INTO met (day, product_id, kind, id, times) VALUES (@day, @productId, @kind, @id, @times)
     ON CONFLICT DO UPDATE SET times = times + excluded.times`,
  ).run(met);
}

/** From where goods were opened, from a day on, before another. */
export const readMet = (db: Db, since: number, until: number): Omit<MetOnDay, 'day'>[] =>
  db
    .prepare(
      `SELECT product_id AS productId, kind, id, sum(times) AS times FROM met
       WHERE day >= ? AND day < ? GROUP BY product_id, kind, id`,
    )
    .all(since, until) as Omit<MetOnDay, 'day'>[];

/** Visits and pages looked at, day by day, from a day on. */
export const readVisits = (db: Db, since: number): { day: number; visits: number; views: number }[] =>
  db
    .prepare(
      `SELECT day, sum(entries) AS visits, sum(times) AS views FROM page_view WHERE day >= ? GROUP BY day ORDER BY day`,
    )
    .all(since) as { day: number; visits: number; views: number }[];

/** How often each thing of a kind was looked at, from a day on, the most first. */
export const readMostViewed = (db: Db, kind: string, since: number, until: number): Map<string, number> =>
  new Map(
    (
      db
        .prepare(
          `SELECT id, sum(times) AS times FROM page_view WHERE kind = ? AND day >= ? AND day < ? GROUP BY id ORDER BY times DESC`,
        )
        .all(kind, since, until) as { id: string; times: number }[]
    ).map(({ id, times }) => [id, times]),
  );
