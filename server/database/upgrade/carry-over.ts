import { type DocumentKind, type ShopDocument } from '../../../core/model/document';
import { documentBody } from '../../../core/publishing/document-text';
import type { Db } from '../db';
import { columnsOf, journaledTables } from '../journal-triggers';
import { serialise } from '../stored-form';

type Cells = Record<string, unknown>;

/** What a column holds in rows from before there was such a column. */
function defaultsOf(db: Db, table: string): Cells {
  const info = db.pragma(`table_info(${table})`) as { name: string; dflt_value: string | null }[];
  return Object.fromEntries(
    info.map(({ name, dflt_value: value }) => [
      name,
      db
        .prepare(`SELECT ${value ?? 'NULL'}`)
        .pluck()
        .get(),
    ]),
  );
}

/**
 * Gives what the journal holds of rows the columns that tables have got since, so that older changes can be undone after an
 * upgrade. Reads only rows that lack the newest column of their table.
 */
export function carryJournal(db: Db): void {
  const put = db.prepare(`UPDATE journal SET before = ?, after = ? WHERE seq = ?`);
  for (const { name } of journaledTables) {
    const { all } = columnsOf(db, name);
    const defaults = defaultsOf(db, name);
    const whole = (json: string | null) =>
      json === null ? null : JSON.stringify({ ...defaults, ...(JSON.parse(json) as Cells) });
    const rows = db
      .prepare(
        `SELECT seq, before, after FROM journal
         WHERE table_name = ? AND json_type(coalesce(after, before), '$.' || ?) IS NULL`,
      )
      .all(name, all.at(-1)) as { seq: number; before: string | null; after: string | null }[];
    for (const { seq, before, after } of rows) put.run(whole(before), whole(after), seq);
  }
}

interface StoredSpan {
  kind: DocumentKind;
  key: string;
  since: number;
  hash: string;
}

/**
 * Writes the documents of all editions again as this version writes them, so that the review lists no change that nobody
 * made. `mend` may add what documents of the older version did not hold.
 */
export function carryDocuments(db: Db, mend: (document: ShopDocument) => ShopDocument = (document) => document): void {
  const spans = db.prepare(`SELECT kind, key, since, hash FROM edition_span`).all() as StoredSpan[];
  const bodyOf = db.prepare(`SELECT body FROM document WHERE hash = ?`).pluck();
  const store = db.prepare(`INSERT INTO document (hash, kind, body) VALUES (?, ?, ?) ON CONFLICT DO NOTHING`);
  const put = db.prepare(`UPDATE edition_span SET hash = ? WHERE kind = ? AND key = ? AND since = ?`);
  const known = new Map<string, string>();
  for (const { kind, key, since, hash } of spans) {
    let next = known.get(hash);
    if (next === undefined) {
      const body = documentBody(kind, bodyOf.get(hash) as string);
      const stored = serialise(mend({ kind, key, body } as ShopDocument));
      next = stored.hash;
      known.set(hash, next);
      if (next !== hash) store.run(next, kind, stored.text);
    }
    if (next !== hash) put.run(next, kind, key, since);
  }
  db.exec(`DELETE FROM document WHERE hash NOT IN (SELECT hash FROM edition_span)`);
}
