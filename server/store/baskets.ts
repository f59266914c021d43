import { basketContentsSchema, emptyBasket, type BasketContents } from '../../core/model/basket';
import type { Db } from '../database/connection';

/** What the basket of a secret holds; an empty one where there is none. */
export function readBasket(db: Db, tokenHash: string): BasketContents {
  const body = db.prepare(`SELECT body FROM basket WHERE token_hash = ?`).pluck().get(tokenHash) as string | undefined;
  const read = body === undefined ? undefined : basketContentsSchema.safeParse(JSON.parse(body));
  return read?.success ? read.data : emptyBasket;
}

export function writeBasket(db: Db, tokenHash: string, contents: BasketContents, at: string): void {
  db.prepare(
    `INSERT INTO basket (token_hash, body, changed) VALUES (?, ?, ?)
     ON CONFLICT DO UPDATE SET body = excluded.body, changed = excluded.changed`,
  ).run(tokenHash, JSON.stringify(contents), at);
}

/** Forgets baskets that nobody touched since a moment. */
export function clearBaskets(db: Db, before: string): number {
  return db.prepare(`DELETE FROM basket WHERE changed < ?`).run(before).changes;
}
