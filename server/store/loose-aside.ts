import type { Db } from '../database/connection';

export interface AsideRow {
  check: string;
  kind: string;
  key: string;
  reason: string;
  /** ISO; null for good */
  until: string | null;
}

/** Loose ends that are put aside at a moment (ISO): those whose time is over are not among them. */
export const readAside = (db: Db, now: string): AsideRow[] =>
  db
    .prepare(`SELECT check_key AS "check", kind, key, reason, until FROM loose_aside WHERE until IS NULL OR until > ?`)
    .all(now) as AsideRow[];

export function putAside(db: Db, { check, kind, key, reason, until }: AsideRow): void {
  db.prepare(
    `INSERT INTO loose_aside (check_key, kind, key, reason, until) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET reason = excluded.reason, until = excluded.until`,
  ).run(check, kind, key, reason, until);
}

export function takeUpAgain(db: Db, { check, kind, key }: Pick<AsideRow, 'check' | 'kind' | 'key'>): void {
  db.prepare(`DELETE FROM loose_aside WHERE check_key = ? AND kind = ? AND key = ?`).run(check, kind, key);
}
