import type { View } from '../../contract/views';
import type { Rule } from '../../core/model/rule';
import { canonicalJson } from '../../core/shared/canonical-json';
import type { Db } from '../database/connection';

/** All views in their order. */
export function readViews(db: Db): View[] {
  const rows = db.prepare(`SELECT id, name, text, rule, sort FROM view ORDER BY position, id`).all();
  return (rows as (Omit<View, 'rule'> & { rule: string })[]).map((row) => ({
    ...row,
    rule: JSON.parse(row.rule) as Rule,
  }));
}

/** Adds a view at the end. */
export function addView(db: Db, view: View): void {
  db.prepare(
    `INSERT INTO view (id, position, name, text, rule, sort)
     VALUES (@id, (SELECT ifnull(max(position), 0) + 1 FROM view), @name, @text, @rule, @sort)`,
  ).run({ ...view, rule: canonicalJson(view.rule) });
}

export function putViewRule(db: Db, id: string, rule: Rule): void {
  db.prepare(`UPDATE view SET rule = ? WHERE id = ?`).run(canonicalJson(rule), id);
}

export function deleteView(db: Db, id: string): void {
  db.prepare(`DELETE FROM view WHERE id = ?`).run(id);
}
