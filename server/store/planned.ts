import type { DocumentKind, ShopDocument } from '../../core/model/document';
import { documentBody } from '../../core/publishing/document-text';
import type { Db } from '../database/connection';
import type { DocumentKey, WrittenDocument } from './editions';

export interface PlannedRow {
  id: string;
  at: string;
  label: string;
  note: string;
  madeAt: string;
  userId: string | null;
  userName: string | null;
  /** the change up to which it holds the working copy */
  changeId: number;
}

/** Editions that go live by themselves, the next one first. */
export function readPlanned(db: Db): PlannedRow[] {
  return db
    .prepare(
      `SELECT planned_edition.id, at, label, note, made_at AS madeAt, user_id AS userId, user.name AS userName,
         change_id AS changeId
       FROM planned_edition LEFT JOIN user ON user.id = user_id ORDER BY at, made_at`,
    )
    .all() as PlannedRow[];
}

/** Which planned edition each change goes live with, by its ref. */
export function readPlannedRefs(db: Db): Map<string, string> {
  const rows = db.prepare(`SELECT kind || ':' || key AS ref, planned_id AS id FROM planned_document`).all() as {
    ref: string;
    id: string;
  }[];
  return new Map(rows.map(({ ref, id }) => [ref, id]));
}

/** What a planned edition puts in place of what is live then; without a body for what it takes away. */
export function readPlannedDocuments(db: Db, id: string): (DocumentKey & { body: ShopDocument['body'] | undefined })[] {
  const rows = db.prepare(`SELECT kind, key, body FROM planned_document WHERE planned_id = ?`).all(id) as {
    kind: DocumentKind;
    key: string;
    body: string | null;
  }[];
  return rows.map(({ kind, key, body }) => ({
    kind,
    key,
    body: body === null ? undefined : documentBody(kind, body),
  }));
}

export function putPlanned(
  db: Db,
  planned: Omit<PlannedRow, 'userName' | 'changeId'>,
  put: readonly WrittenDocument[],
  gone: readonly DocumentKey[],
): void {
  db.transaction(() => {
    const { id, at, label, note, madeAt, userId } = planned;
    db.prepare(
      `INSERT INTO planned_edition (id, at, label, note, made_at, user_id, change_id)
       VALUES (?, ?, ?, ?, ?, ?, (SELECT ifnull(max(id), 0) FROM change))`,
    ).run(id, at, label, note, madeAt, userId);
    const insert = db.prepare(`INSERT INTO planned_document (planned_id, kind, key, body) VALUES (?, ?, ?, ?)`);
    for (const { kind, key, text } of put) insert.run(id, kind, key, text);
    for (const { kind, key } of gone) insert.run(id, kind, key, null);
  })();
}

/** Answers whether there was one. */
export const deletePlanned = (db: Db, id: string): boolean =>
  db.prepare(`DELETE FROM planned_edition WHERE id = ?`).run(id).changes > 0;
