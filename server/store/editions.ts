import type { KeepRule } from '../../core/publishing/thinning';
import { type DocumentKind, type ShopDocument } from '../../core/model/document';
import { documentBody } from '../../core/publishing/document-text';
import type { Db } from '../database/connection';
import { notePrices } from './price-spans';
import { notePublished } from './redirects';

export interface EditionRow {
  number: number;
  label: string;
  note: string;
  at: string;
  userName: string | null;
  ofEdition: number | null;
}

export interface DocumentKey {
  kind: DocumentKind;
  key: string;
}

export interface DocumentRef extends DocumentKey {
  hash: string;
}

export type HashedDocument = ShopDocument & DocumentRef;

/** A document with the text under which it is stored. */
export type WrittenDocument = HashedDocument & { text: string };

interface DocumentRow extends DocumentRef {
  body: string;
}

const fromRow = (row: DocumentRow) => ({ ...row, body: documentBody(row.kind, row.body) }) as HashedDocument;

export function latestEdition(db: Db): number {
  return (db.prepare(`SELECT max(number) FROM edition`).pluck().get() as number | null) ?? 0;
}

/** Editions, newest first: at most `limit`, from the number `upTo` on where that is told. */
export function listEditions(db: Db, limit: number, upTo = Number.MAX_SAFE_INTEGER): EditionRow[] {
  return db
    .prepare(
      `SELECT number, label, note, at, user.name AS userName, of_edition AS ofEdition
       FROM edition LEFT JOIN user ON user.id = user_id WHERE number <= ?
       ORDER BY number DESC LIMIT ?`,
    )
    .all(upTo, limit) as EditionRow[];
}

/** The documents of the newest edition with their hashes. */
export function readLatest(db: Db): HashedDocument[] {
  const rows = db
    .prepare(
      `SELECT edition_span.kind, key, hash, body FROM edition_span JOIN document USING (hash) WHERE until IS NULL
       ORDER BY edition_span.kind = 'product'`,
    )
    .all() as DocumentRow[];
  return rows.map(fromRow);
}

/** Which documents the newest edition holds. */
export function readLatestRefs(db: Db): DocumentRef[] {
  return db.prepare(`SELECT kind, key, hash FROM edition_span WHERE until IS NULL`).all() as DocumentRef[];
}

/** One document of the newest edition; undefined when it holds none of this key. */
export function readLatestBody(db: Db, { kind, key }: DocumentKey): ShopDocument['body'] | undefined {
  const body = db
    .prepare(
      `SELECT body FROM edition_span JOIN document USING (hash) WHERE edition_span.kind = ? AND key = ? AND until IS NULL`,
    )
    .pluck()
    .get(kind, key) as string | undefined;
  return body === undefined ? undefined : documentBody(kind, body);
}

/** Ids of the products that no change has touched since the working copy was as the newest edition has them. */
export function readUntouchedProducts(db: Db): Set<string> {
  const ids = db
    .prepare(
      `SELECT key FROM edition_span AS span
       WHERE span.kind = 'product' AND span.until IS NULL AND span.change_id IS NOT NULL AND NOT EXISTS (
         SELECT 1 FROM journal WHERE subject = 'product:' || key AND journal.change_id > span.change_id)`,
    )
    .pluck()
    .all() as string[];
  return new Set(ids);
}

interface NewEdition {
  label: string;
  note?: string;
  at: string;
  userId: string | null;
  /** the change up to which it holds the working copy; the latest where it is not told */
  changeId?: number;
}

function insertEdition(
  db: Db,
  number: number,
  { label, note = '', at, userId, changeId }: NewEdition,
  ofEdition: number | null,
): number {
  const upTo = changeId ?? (db.prepare(`SELECT ifnull(max(id), 0) FROM change`).pluck().get() as number);
  db.prepare(
    `INSERT INTO edition (number, label, note, at, user_id, of_edition, change_id) VALUES (?, ?, ?, ?, ?, ?, ?)`,
  ).run(number, label, note, at, userId, ofEdition, upTo);
  return upTo;
}

/**
 * Puts documents into the edition `number`, in place of those that stand there under the same key, and takes some out.
 * `changeOf`: the change after which the working copy was as a document says; null where that is not known.
 */
function writeSpans(
  db: Db,
  number: number,
  put: Iterable<DocumentRef>,
  gone: Iterable<DocumentKey>,
  changeOf: (document: DocumentRef) => number | null,
): void {
  const close = db.prepare(`UPDATE edition_span SET until = ? WHERE kind = ? AND key = ? AND until IS NULL`);
  const open = db.prepare(
    `INSERT INTO edition_span (kind, key, since, until, hash, change_id) VALUES (?, ?, ?, NULL, ?, ?)`,
  );
  for (const { kind, key } of gone) close.run(number, kind, key);
  for (const document of put) {
    const { kind, key, hash } = document;
    close.run(number, kind, key);
    open.run(kind, key, number, hash, changeOf(document));
  }
}

const productsAmong = (documents: readonly ShopDocument[]) =>
  documents.flatMap((document) => (document.kind === 'product' ? [document.body] : []));

const byHash = (a: DocumentRef, b: DocumentRef) => (a.hash < b.hash ? -1 : 1);

/** Writes an edition in one transaction: the one before it, with `put` put in and `gone` taken out. Answers its number. */
export function writeEdition(
  db: Db,
  edition: NewEdition,
  put: readonly WrittenDocument[],
  gone: readonly DocumentKey[],
): number {
  return db
    .transaction(() => {
      const number = latestEdition(db) + 1;
      const changeId = insertEdition(db, number, edition, null);
      const store = db.prepare(`INSERT INTO document (hash, kind, body) VALUES (?, ?, ?) ON CONFLICT DO NOTHING`);
      // In the order in which the table keeps them, many are stored much more quickly.
      for (const { hash, kind, text } of put.toSorted(byHash)) store.run(hash, kind, text);
      writeSpans(db, number, put, gone, () => changeId);
      notePrices(db, edition.at, productsAmong(put));
      notePublished(db, put);
      return number;
    })
    .immediate();
}

/** An edition and how it differs from the one before. */
export interface EditionStep {
  number: number;
  put: HashedDocument[];
  gone: DocumentKey[];
}

/** What an older edition holds otherwise than the newest one, and what only the newest one holds. */
function differenceTo(db: Db, old: number): { put: HashedDocument[]; gone: DocumentKey[] } {
  const put = db.prepare(
    `SELECT older.kind, key, older.hash, body FROM edition_span AS older JOIN document USING (hash)
     WHERE since <= :old AND until > :old AND NOT EXISTS (
       SELECT 1 FROM edition_span AS now
       WHERE now.kind = older.kind AND now.key = older.key AND now.until IS NULL AND now.hash = older.hash)`,
  );
  const gone = db.prepare(
    `SELECT kind, key FROM edition_span AS now
     WHERE until IS NULL AND since > :old AND NOT EXISTS (
       SELECT 1 FROM edition_span AS older
       WHERE older.kind = now.kind AND older.key = now.key AND older.since <= :old AND older.until > :old)`,
  );
  return { put: (put.all({ old }) as DocumentRow[]).map(fromRow), gone: gone.all({ old }) as DocumentKey[] };
}

/** The same as what is put in and taken out, for a shop that is to be as an older edition was. */
export function readEditionChanges(db: Db, old: number): (DocumentKey & { body: ShopDocument['body'] | undefined })[] {
  const { put, gone } = differenceTo(db, old);
  return [...put, ...gone.map((each) => ({ ...each, body: undefined }))];
}

export function readKeepRule(db: Db): KeepRule | null {
  return (db.prepare(`SELECT days, then_one AS "then" FROM edition_rule`).get() as KeepRule | undefined) ?? null;
}

export function writeKeepRule(db: Db, rule: KeepRule | null): void {
  if (!rule) db.prepare(`DELETE FROM edition_rule`).run();
  else
    db.prepare(
      `INSERT INTO edition_rule (one, days, then_one) VALUES (1, ?, ?)
       ON CONFLICT DO UPDATE SET days = excluded.days, then_one = excluded.then_one`,
    ).run(rule.days, rule.then);
}

/**
 * Lets go of editions, none of them the newest; what is in the others stays as it is. A document counts from then on as of the next
 * edition that is left. Inside one transaction.
 */
export function dropEditions(db: Db, numbers: readonly number[]): void {
  db.transaction(() => {
    db.prepare(`CREATE TEMP TABLE gone_edition AS SELECT value AS number FROM json_each(?)`).run(
      JSON.stringify(numbers),
    );
    const next = (column: string) =>
      `(SELECT min(number) FROM edition WHERE number >= ${column} AND number NOT IN (SELECT number FROM gone_edition))`;
    db.exec(`
      DELETE FROM edition_span WHERE until IS NOT NULL AND ${next('since')} = ${next('until')};
      UPDATE edition_span SET since = ${next('since')} WHERE since IN (SELECT number FROM gone_edition);
      UPDATE edition_span SET until = ${next('until')} WHERE until IN (SELECT number FROM gone_edition);
      DELETE FROM edition WHERE number IN (SELECT number FROM gone_edition);
      DELETE FROM document WHERE hash NOT IN (SELECT hash FROM edition_span);
      DROP TABLE gone_edition;`);
  })();
}

export function editEdition(db: Db, number: number, { label, note }: { label?: string; note?: string }): void {
  db.prepare(`UPDATE edition SET label = ifnull(?, label), note = ifnull(?, note) WHERE number = ?`).run(
    label ?? null,
    note ?? null,
    number,
  );
}

/** Makes the content of an older edition the newest edition. Answers what that changed. */
export function repeatEdition(db: Db, edition: NewEdition, old: number): EditionStep {
  return db
    .transaction(() => {
      const number = latestEdition(db) + 1;
      const changes = differenceTo(db, old);
      insertEdition(db, number, edition, old);
      const ofSame = db.prepare(`SELECT max(change_id) FROM edition_span WHERE kind = ? AND key = ? AND hash = ?`);
      writeSpans(
        db,
        number,
        changes.put,
        changes.gone,
        ({ kind, key, hash }) => ofSame.pluck().get(kind, key, hash) as number | null,
      );
      notePrices(db, edition.at, productsAmong(changes.put));
      notePublished(db, changes.put);
      return { number, ...changes };
    })
    .immediate();
}

/**
 * The change after which the working copy was as one edition has a document, the newest one where none is told: undefined
 * where that edition has no such document, null where it is not known, as in very old editions.
 */
export function changeOfDocument(db: Db, { kind, key }: DocumentKey, edition?: number): number | null | undefined {
  return db
    .prepare(
      edition === undefined
        ? `SELECT change_id FROM edition_span WHERE kind = ? AND key = ? AND until IS NULL`
        : `SELECT change_id FROM edition_span WHERE kind = ? AND key = ? AND since <= ? AND ifnull(until, 1e18) > ?`,
    )
    .pluck()
    .get(...(edition === undefined ? [kind, key] : [kind, key, edition, edition])) as number | null | undefined;
}

/** Since when (ISO) each document of the newest edition has stood there as it is, by kind and key. */
export function liveSince(db: Db): Map<string, string> {
  const rows = db
    .prepare(
      `SELECT edition_span.kind || ':' || edition_span.key AS ref, edition.at AS at
       FROM edition_span JOIN edition ON edition.number = edition_span.since WHERE edition_span.until IS NULL`,
    )
    .all() as { ref: string; at: string }[];
  return new Map(rows.map(({ ref, at }) => [ref, at]));
}
