import { canonicalJson } from '../../core/shared/canonical-json';
import type { Db } from '../database/connection';

/** Columns under a name: those that go out together, or how those of a file are taken. */
type Kept = 'column_set' | 'column_mapping';

export interface KeptColumns<T> {
  id: string;
  name: string;
  body: T;
}

export const readKept = <T>(db: Db, kept: Kept): KeptColumns<T>[] =>
  (
    db.prepare(`SELECT id, name, body FROM ${kept} ORDER BY name COLLATE NOCASE, id`).all() as KeptColumns<string>[]
  ).map(({ body, ...row }) => ({ ...row, body: JSON.parse(body) as T }));

/** Keeps something under a name, in place of what had the same name. */
export function putKept(db: Db, kept: Kept, { id, name, body }: KeptColumns<unknown>): void {
  db.transaction(() => {
    db.prepare(`DELETE FROM ${kept} WHERE name = ? COLLATE NOCASE`).run(name);
    db.prepare(`INSERT INTO ${kept} (id, name, body) VALUES (?, ?, ?)`).run(id, name, canonicalJson(body));
  })();
}

export const dropKept = (db: Db, kept: Kept, id: string): boolean =>
  db.prepare(`DELETE FROM ${kept} WHERE id = ?`).run(id).changes === 1;
