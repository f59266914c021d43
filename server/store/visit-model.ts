import { canonicalJson } from '../../core/shared/canonical-json';
import type { VisitModel } from '../../core/model/visit-model';
import type { Db } from '../database/connection';

/** What was stored of visits; undefined while it is as usual. */
export function readVisitModel(db: Db): unknown {
  const value = db.prepare(`SELECT value FROM setting WHERE key = 'visits'`).pluck().get() as string | undefined;
  return value === undefined ? undefined : JSON.parse(value);
}

export function writeVisitModel(db: Db, model: VisitModel): void {
  db.prepare(
    `INSERT INTO setting (key, value) VALUES ('visits', ?) ON CONFLICT DO UPDATE SET value = excluded.value`,
  ).run(canonicalJson(model));
}
