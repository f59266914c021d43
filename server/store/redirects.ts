import type { AddressedKind, Redirect, ShopDocument } from '../../core/model/document';
import { addressedKinds } from '../../core/model/document';
import type { Db } from '../database/db';

/** All redirects of the working copy. */
export const readRedirects = (db: Db): Redirect[] =>
  db.prepare(`SELECT kind, slug, target_id AS targetId FROM redirect ORDER BY kind, slug`).all() as Redirect[];

/** Remembers that `slug` now forwards to the thing with this id; a slug in use again stops forwarding. */
export function keepRedirect(db: Db, kind: AddressedKind, oldSlug: string, newSlug: string | null, id: string): void {
  if (newSlug !== null) db.prepare(`DELETE FROM redirect WHERE kind = ? AND slug = ?`).run(kind, newSlug);
  db.prepare(
    `INSERT INTO redirect (kind, slug, target_id) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET target_id = excluded.target_id`,
  ).run(kind, oldSlug, id);
}

/** All that forwarded to one thing forwards to another: chains are flattened. */
export function moveRedirects(db: Db, kind: AddressedKind, from: string, into: string): void {
  db.prepare(`UPDATE redirect SET target_id = ? WHERE kind = ? AND target_id = ?`).run(into, kind, from);
}

/** Notes the addresses under which shoppers meet these documents from now on. */
export function notePublished(db: Db, documents: Iterable<ShopDocument>): void {
  const put = db.prepare(
    `INSERT INTO published_address (kind, slug, target_id) VALUES (?, ?, ?)
     ON CONFLICT DO UPDATE SET target_id = excluded.target_id WHERE target_id <> excluded.target_id`,
  );
  for (const { kind, key, body } of documents)
    if ((addressedKinds as readonly string[]).includes(kind)) put.run(kind, (body as { slug: string }).slug, key);
}

/** The thing that shoppers met last at an address, in whichever edition; undefined when there never was any. */
export function publishedAt(db: Db, kind: AddressedKind, slug: string): string | undefined {
  return db.prepare(`SELECT target_id FROM published_address WHERE kind = ? AND slug = ?`).pluck().get(kind, slug) as
    string | undefined;
}
