import type { Db } from '../database/connection';
import type { DocumentKey } from './editions';

/** Refs of the changes that the seller keeps out of the next edition. */
export const readHeld = (db: Db): Set<string> =>
  new Set(db.prepare(`SELECT kind || ':' || key FROM held`).pluck().all() as string[]);

export function putHeld(db: Db, keys: readonly DocumentKey[], isHeld: boolean): void {
  const put = db.prepare(
    isHeld
      ? `INSERT INTO held (kind, key) VALUES (?, ?) ON CONFLICT DO NOTHING`
      : `DELETE FROM held WHERE kind = ? AND key = ?`,
  );
  db.transaction(() => keys.forEach(({ kind, key }) => put.run(kind, key)))();
}
