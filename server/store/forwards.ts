import type { Forward } from '../../core/model/forward';
import type { Db } from '../database/connection';

/** All forwards, by path. */
export function readForwards(db: Db): Forward[] {
  const rows = db.prepare(`SELECT path, target, by FROM forward ORDER BY path`).all() as {
    path: string;
    target: string | null;
    by: Forward['by'];
  }[];
  return rows.map(({ path, target, by }) => ({
    path,
    to: target === null ? null : (JSON.parse(target) as Forward['to']),
    by,
  }));
}

export function putForward(db: Db, { path, to, by }: Forward): void {
  db.prepare(
    `INSERT INTO forward (path, target, by) VALUES (?, ?, ?)
     ON CONFLICT DO UPDATE SET target = excluded.target, by = excluded.by`,
  ).run(path, to && JSON.stringify(to), by);
}

export function dropForward(db: Db, path: string): void {
  db.prepare(`DELETE FROM forward WHERE path = ?`).run(path);
}
