import type { Db } from '../database/connection';

export interface SearchedWords {
  locale: string;
  words: string;
  times: number;
  found: number;
  /** midnight UTC of the last day, seconds since 1970 */
  last: number;
}

export function noteSearched(
  db: Db,
  one: { day: number; locale: string; words: string; times: number; found: number },
): void {
  db.prepare(
    `INSERT INTO searched (day, locale, words, times, found) VALUES (@day, @locale, @words, @times, @found)
     ON CONFLICT DO UPDATE SET times = times + excluded.times, found = excluded.found`,
  ).run(one);
}

export function noteOpened(db: Db, one: { locale: string; words: string; productId: string; times: number }): void {
  db.prepare(
    `INSERT INTO search_opened (locale, words, product_id, times) VALUES (@locale, @words, @productId, @times)
     ON CONFLICT DO UPDATE SET times = times + excluded.times`,
  ).run(one);
}

/** So many paths are kept: those that were asked for most lately. */
const MOST_PATHS = 5_000;

export function noteMissed(db: Db, one: { path: string; times: number; last: string }): void {
  db.prepare(
    `INSERT INTO missed_path (path, times, last) VALUES (@path, @times, @last)
     ON CONFLICT DO UPDATE SET times = times + excluded.times, last = excluded.last`,
  ).run(one);
  db.prepare(
    `DELETE FROM missed_path WHERE path IN (SELECT path FROM missed_path ORDER BY last DESC, path LIMIT -1 OFFSET ?)`,
  ).run(MOST_PATHS);
}

/** What was searched since a day, what was searched most first. `nothing`: only what found nothing the last time. */
export function readSearched(db: Db, since: number, nothing: boolean, limit: number): SearchedWords[] {
  return db
    .prepare(
      `SELECT locale, words, sum(times) AS times, max(day) AS last,
         (SELECT found FROM searched AS latest WHERE latest.locale = searched.locale AND latest.words = searched.words
          ORDER BY day DESC LIMIT 1) AS found
       FROM searched WHERE day >= @since GROUP BY locale, words HAVING NOT @nothing OR found = 0
       ORDER BY times DESC, words LIMIT @limit`,
    )
    .all({ since, nothing: Number(nothing), limit }) as SearchedWords[];
}

/** What was opened after a search, the most first. */
export const readOpened = (db: Db, locale: string, words: string): { productId: string; times: number }[] =>
  db
    .prepare(
      `SELECT product_id AS productId, times FROM search_opened WHERE locale = ? AND words = ?
       ORDER BY times DESC, product_id LIMIT 5`,
    )
    .all(locale, words) as { productId: string; times: number }[];

export interface MissedPath {
  path: string;
  times: number;
  last: string;
}

/** Paths that were asked for most. */
export const readMissed = (db: Db, limit: number): MissedPath[] =>
  db.prepare(`SELECT path, times, last FROM missed_path ORDER BY times DESC, path LIMIT ?`).all(limit) as MissedPath[];

export function dropMissed(db: Db, path: string): void {
  db.prepare(`DELETE FROM missed_path WHERE path = ?`).run(path);
}
