import type { OptionList } from '../../core/model/option-list';
import { canonicalJson } from '../../core/shared/canonical-json';
import type { Db } from '../database/connection';

/** All option lists in their order. */
export function readOptionLists(db: Db): OptionList[] {
  const rows = db.prepare(`SELECT id, name, choices FROM option_list ORDER BY position, id`).all();
  return (rows as { id: string; name: string; choices: string }[]).map((row) => ({
    ...row,
    choices: JSON.parse(row.choices) as OptionList['choices'],
  }));
}

export function isOptionList(db: Db, id: string): boolean {
  return db.prepare(`SELECT 1 FROM option_list WHERE id = ?`).get(id) !== undefined;
}

/** Adds a list at the end, or changes the one with this id. */
export function putOptionList(db: Db, list: OptionList): void {
  db.prepare(
    `INSERT INTO option_list (id, position, name, choices)
     VALUES (@id, (SELECT ifnull(max(position), 0) + 1 FROM option_list), @name, @choices)
     ON CONFLICT (id) DO UPDATE SET name = @name, choices = @choices`,
  ).run({ ...list, choices: canonicalJson(list.choices) });
}

export function deleteOptionList(db: Db, id: string): void {
  db.prepare(`DELETE FROM option_list WHERE id = ?`).run(id);
}

/** Number of products with an option that uses each list. */
export function productsByOptionList(db: Db): Map<string, number> {
  const rows = db
    .prepare(
      `SELECT list_id AS id, count(DISTINCT product_id) AS products FROM option WHERE list_id IS NOT NULL GROUP BY 1`,
    )
    .all() as { id: string; products: number }[];
  return new Map(rows.map(({ id, products }) => [id, products]));
}

export interface ListedValue {
  id: string;
  productId: string;
  optionId: string;
  name: string;
  swatch: string | null;
}

/** Values of all options that use a list. */
export function valuesOfList(db: Db, listId: string): ListedValue[] {
  return db
    .prepare(
      `SELECT option_value.id, option_value.product_id AS productId, option_id AS optionId, option_value.name, swatch
       FROM option_value JOIN option ON option.id = option_id WHERE list_id = ?`,
    )
    .all(listId) as ListedValue[];
}

export function setOptionValue(db: Db, id: string, { name, swatch }: Pick<ListedValue, 'name' | 'swatch'>): void {
  db.prepare(`UPDATE option_value SET name = ?, swatch = ? WHERE id = ?`).run(name, swatch, id);
}
