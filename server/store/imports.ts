import type { Db } from '../database/connection';
import { statement } from '../database/statements';

export interface ImportRow {
  id: string;
  name: string;
  at: string;
  content: Buffer;
  /** as the contract has it, in JSON */
  settings: string;
  /** those that came with it, by the names of their files, in JSON */
  pictures: string;
  state: 'open' | 'done';
  outcome: string;
}

/** So many files are kept; what is older goes when another comes. */
const KEPT = 20;

export function addImport(db: Db, row: Omit<ImportRow, 'state' | 'outcome'> & { userId: string }): void {
  db.transaction(() => {
    statement(
      db,
      `INSERT INTO import_file (id, name, at, user_id, content, settings, pictures, state)
       VALUES (@id, @name, @at, @userId, @content, @settings, @pictures, 'open')`,
    ).run(row);
    statement(
      db,
      `DELETE FROM import_file WHERE id NOT IN (SELECT id FROM import_file ORDER BY at DESC, id DESC LIMIT ?)`,
    ).run(KEPT);
  })();
}

export const readImport = (db: Db, id: string): ImportRow | undefined =>
  statement(db, `SELECT id, name, at, content, settings, pictures, state, outcome FROM import_file WHERE id = ?`).get(
    id,
  ) as ImportRow | undefined;

export const listImports = (db: Db): Omit<ImportRow, 'content' | 'settings' | 'pictures'>[] =>
  statement(db, `SELECT id, name, at, state, outcome FROM import_file ORDER BY at DESC, id DESC`).all() as Omit<
    ImportRow,
    'content' | 'settings' | 'pictures'
  >[];

export function putImportSettings(db: Db, id: string, settings: string): void {
  statement(db, `UPDATE import_file SET settings = ? WHERE id = ?`).run(settings, id);
}

export function endImport(db: Db, id: string, outcome: string): void {
  statement(db, `UPDATE import_file SET state = 'done', outcome = ? WHERE id = ?`).run(outcome, id);
}

export function dropImport(db: Db, id: string): void {
  statement(db, `DELETE FROM import_file WHERE id = ?`).run(id);
}

/** What columns were taken for before, by their headings. */
export const readHeadings = (db: Db): Map<string, string> =>
  new Map(
    (statement(db, `SELECT heading, key FROM import_heading`).all() as { heading: string; key: string }[]).map(
      ({ heading, key }) => [heading, key],
    ),
  );

export function keepHeadings(db: Db, headings: ReadonlyMap<string, string>): void {
  const put = statement(
    db,
    `INSERT INTO import_heading (heading, key) VALUES (?, ?) ON CONFLICT DO UPDATE SET key = excluded.key`,
  );
  db.transaction(() => {
    for (const [heading, key] of headings) put.run(heading, key);
  })();
}
