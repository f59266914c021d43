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
