import type { Attribute, SpecSheet } from '../../core/model/spec-sheet';
import { canonicalJson } from '../../core/shared/canonical-json';
import type { Db } from '../database/connection';

/** All spec sheets in their order. */
export function readSpecSheets(db: Db): SpecSheet[] {
  const rows = db.prepare(`SELECT id, name, attributes FROM spec_sheet ORDER BY position, id`).all();
  return (rows as { id: string; name: string; attributes: string }[]).map((row) => ({
    ...row,
    attributes: JSON.parse(row.attributes) as Attribute[],
  }));
}

/** Adds a spec sheet at the end, or changes the one with this id. */
export function putSpecSheet(db: Db, sheet: SpecSheet): void {
  db.prepare(
    `INSERT INTO spec_sheet (id, position, name, attributes)
     VALUES (@id, (SELECT ifnull(max(position), 0) + 1 FROM spec_sheet), @name, @attributes)
     ON CONFLICT (id) DO UPDATE SET name = @name, attributes = @attributes`,
  ).run({ ...sheet, attributes: canonicalJson(sheet.attributes) });
}

export function deleteSpecSheet(db: Db, id: string): void {
  db.prepare(`DELETE FROM spec_sheet WHERE id = ?`).run(id);
}

export function productIdsWithSheet(db: Db, id: string): string[] {
  return db.prepare(`SELECT id FROM product WHERE spec_sheet_id = ?`).pluck().all(id) as string[];
}
