import { canonicalJson } from '../../core/shared/canonical-json';
import type { Db } from '../database/connection';

/** Tables whose rows are an id, a place in the order of making, and all else as one JSON text. */
type JsonTable = 'supplier' | 'offer' | 'embed' | 'feed' | 'chosen_listing';

/** All things of a table, in the order in which they were made. */
export function readBodies<T extends { id: string }>(db: Db, table: JsonTable): T[] {
  const rows = db.prepare(`SELECT id, body FROM ${table} ORDER BY position, id`).all() as {
    id: string;
    body: string;
  }[];
  return rows.map(({ id, body }) => ({ ...(JSON.parse(body) as T), id }));
}

/** Stores a thing in place of the one with its id, or behind all others. */
export function putBody(db: Db, table: JsonTable, { id, ...body }: { id: string }): void {
  db.prepare(
    `INSERT INTO ${table} (id, position, body) VALUES (?, (SELECT coalesce(max(position), 0) + 1 FROM ${table}), ?)
     ON CONFLICT (id) DO UPDATE SET body = excluded.body`,
  ).run(id, canonicalJson(body));
}

export function deleteBody(db: Db, table: JsonTable, id: string): void {
  db.prepare(`DELETE FROM ${table} WHERE id = ?`).run(id);
}
