import type { Target } from '../../core/model/target';
import type { Db } from '../database/connection';

/** Keeps a thing from search engines, or lets them show it. Kinds are called as their tables are. */
export const setNoindex = (db: Db, kind: Target['kind'], id: string, noindex: boolean): void =>
  void db.prepare(`UPDATE ${kind} SET noindex = ? WHERE id = ?`).run(Number(noindex), id);
