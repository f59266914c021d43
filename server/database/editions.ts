import type { DocumentKind, ShopDocument } from '../../core/editions/document';
import type { Db } from './connection';

export interface EditionRow {
  number: number;
  label: string;
  at: string;
  userName: string | null;
  ofEdition: number | null;
}

export interface DocumentRef {
  kind: DocumentKind;
  key: string;
  hash: string;
}

export interface StoredDocument extends DocumentRef {
  body: string;
}

export function latestEdition(db: Db): number {
  return (db.prepare(`SELECT max(number) FROM edition`).pluck().get() as number | null) ?? 0;
}

export function listEditions(db: Db, limit: number): EditionRow[] {
  return db
    .prepare(
      `SELECT number, label, at, user.name AS userName, of_edition AS ofEdition
       FROM edition LEFT JOIN user ON user.id = user_id ORDER BY number DESC LIMIT ?`,
    )
    .all(limit) as EditionRow[];
}

export function editionRefs(db: Db, edition: number): DocumentRef[] {
  return db.prepare(`SELECT kind, key, hash FROM edition_document WHERE edition = ?`).all(edition) as DocumentRef[];
}

/** The documents of an edition with their hashes. */
export function readEdition(db: Db, edition: number): (ShopDocument & { hash: string })[] {
  const rows = db
    .prepare(
      `SELECT edition_document.kind, key, hash, body FROM edition_document JOIN document USING (hash) WHERE edition = ?`,
    )
    .all(edition) as StoredDocument[];
  return rows.map((row) => ({ ...row, body: JSON.parse(row.body) }) as ShopDocument & { hash: string });
}

export function readDocument(db: Db, hash: string): unknown {
  return JSON.parse(db.prepare(`SELECT body FROM document WHERE hash = ?`).pluck().get(hash) as string);
}

interface NewEdition {
  label: string;
  at: string;
  userId: string | null;
}

function insertEdition(db: Db, number: number, { label, at, userId }: NewEdition, ofEdition: number | null): void {
  db.prepare(`INSERT INTO edition (number, label, at, user_id, of_edition) VALUES (?, ?, ?, ?, ?)`).run(
    number,
    label,
    at,
    userId,
    ofEdition,
  );
}

function copyRefs(db: Db, from: number, to: number): void {
  db.prepare(
    `INSERT INTO edition_document (edition, kind, key, hash)
     SELECT ?, kind, key, hash FROM edition_document WHERE edition = ?`,
  ).run(to, from);
}

/** Writes an edition in one transaction: the one before it, with `put` put in and `gone` taken out. */
export function writeEdition(
  db: Db,
  edition: NewEdition,
  put: Iterable<StoredDocument>,
  gone: Iterable<{ kind: string; key: string }>,
): number {
  return db
    .transaction(() => {
      const before = latestEdition(db);
      const number = before + 1;
      insertEdition(db, number, edition, null);
      copyRefs(db, before, number);
      const store = db.prepare(`INSERT INTO document (hash, kind, body) VALUES (?, ?, ?) ON CONFLICT DO NOTHING`);
      const refer = db.prepare(
        `INSERT INTO edition_document (edition, kind, key, hash) VALUES (?, ?, ?, ?)
         ON CONFLICT DO UPDATE SET hash = excluded.hash`,
      );
      for (const { kind, key, hash, body } of put) {
        store.run(hash, kind, body);
        refer.run(number, kind, key, hash);
      }
      const drop = db.prepare(`DELETE FROM edition_document WHERE edition = ? AND kind = ? AND key = ?`);
      for (const { kind, key } of gone) drop.run(number, kind, key);
      return number;
    })
    .immediate();
}

/** Makes the content of an older edition the newest edition. */
export function repeatEdition(db: Db, edition: NewEdition, old: number): number {
  return db
    .transaction(() => {
      const number = latestEdition(db) + 1;
      insertEdition(db, number, edition, old);
      copyRefs(db, old, number);
      return number;
    })
    .immediate();
}
