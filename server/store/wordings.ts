import { textHash } from '../../core/languages/text-hash';
import { wordingKey, wordingOfKey, type WordedKind, type Wording } from '../../core/model/wording';
import type { Db } from '../database/connection';
import { statement } from '../database/statements';

type WordingTable = 'wording' | 'wording_draft';

/** A text in another language, with the text that it was made from. */
export interface StoredText {
  locale: string;
  kind: WordedKind;
  targetId: string;
  path: string;
  text: string;
  source: string;
}

const columns = `locale, kind, target_id AS targetId, path, text, source`;

/** All texts of a table, by language and thing. */
export const readTexts = (db: Db, table: WordingTable): StoredText[] =>
  db.prepare(`SELECT ${columns} FROM ${table} ORDER BY locale, kind, target_id, path`).all() as StoredText[];

/** The texts of one thing in one language. */
export const readTextsOf = (
  db: Db,
  table: WordingTable,
  { locale, kind, id }: Pick<Wording, 'locale' | 'kind' | 'id'>,
): StoredText[] =>
  statement(db, `SELECT ${columns} FROM ${table} WHERE locale = ? AND kind = ? AND target_id = ? ORDER BY path`).all(
    locale,
    kind,
    id,
  ) as StoredText[];

function wordingsOf(texts: readonly StoredText[]): Wording[] {
  const wordings = new Map<
    string,
    { locale: string; kind: WordedKind; id: string; texts: Record<string, { text: string; of: string }> }
  >();
  for (const { locale, kind, targetId: id, path, text, source } of texts) {
    const key = wordingKey({ locale, kind, id });
    let wording = wordings.get(key);
    if (!wording) wordings.set(key, (wording = { locale, kind, id, texts: {} }));
    wording.texts[path] = { text, of: textHash(source) };
  }
  return [...wordings.values()];
}

/** The wordings of a table: those with these keys, or all. */
export const readWordings = (db: Db, table: WordingTable, keys?: readonly string[]): Wording[] =>
  wordingsOf(keys ? keys.flatMap((key) => readTextsOf(db, table, wordingOfKey(key))) : readTexts(db, table));

export function putText(db: Db, table: WordingTable, { locale, kind, targetId, path, text, source }: StoredText): void {
  statement(
    db,
    `INSERT INTO ${table} (locale, kind, target_id, path, text, source) VALUES (?, ?, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET text = excluded.text, source = excluded.source`,
  ).run(locale, kind, targetId, path, text, source);
}

/** A text that is kept; null takes it away. */
export type KeptText = Omit<StoredText, 'text'> & { text: string | null };

/** Keeps a text as shoppers meet it, or takes it away where it is null; what was drafted of it goes. */
export function keepText(db: Db, { text, ...row }: KeptText): void {
  dropText(db, 'wording_draft', row);
  if (text === null) dropText(db, 'wording', row);
  else putText(db, 'wording', { ...row, text });
}

export function dropText(
  db: Db,
  table: WordingTable,
  { locale, kind, targetId, path }: Omit<StoredText, 'text' | 'source'>,
): void {
  statement(db, `DELETE FROM ${table} WHERE locale = ? AND kind = ? AND target_id = ? AND path = ?`).run(
    locale,
    kind,
    targetId,
    path,
  );
}
