import type { Brand, Category, Collection, Tag } from '../../core/catalog/group';
import type { Rule } from '../../core/rules/rule';
import type { Db } from './connection';

export function readCategories(db: Db): Category[] {
  return db.prepare(`SELECT id, parent_id AS parentId, position, name, slug, text FROM category`).all() as Category[];
}

export function putCategory(db: Db, category: Category): void {
  db.prepare(
    `INSERT INTO category (id, parent_id, position, name, slug, text) VALUES (@id, @parentId, @position, @name, @slug, @text)
     ON CONFLICT (id) DO UPDATE SET parent_id = @parentId, position = @position, name = @name, slug = @slug, text = @text`,
  ).run(category);
}

export function deleteCategory(db: Db, id: string): void {
  db.prepare(`DELETE FROM category WHERE id = ?`).run(id);
}

type NamedKind = 'brand' | 'tag';

export function readNamed(db: Db, kind: NamedKind): (Brand | Tag)[] {
  return db.prepare(`SELECT id, name, slug FROM ${kind}`).all() as (Brand | Tag)[];
}

export function putNamed(db: Db, kind: NamedKind, thing: Brand | Tag): void {
  db.prepare(
    `INSERT INTO ${kind} (id, name, slug) VALUES (@id, @name, @slug)
     ON CONFLICT (id) DO UPDATE SET name = @name, slug = @slug`,
  ).run(thing);
}

export function deleteNamed(db: Db, kind: NamedKind, id: string): void {
  db.prepare(`DELETE FROM ${kind} WHERE id = ?`).run(id);
}

/** All collections in the order of their shelves. */
export function readCollections(db: Db): Collection[] {
  const picked = new Map<string, string[]>();
  const members = db
    .prepare(
      `SELECT collection_id AS id, product_id AS product FROM collection_product ORDER BY collection_id, position`,
    )
    .all() as { id: string; product: string }[];
  for (const { id, product } of members) {
    const list = picked.get(id);
    if (list) list.push(product);
    else picked.set(id, [product]);
  }
  const rows = db
    .prepare(`SELECT id, name, slug, text, source, rule, sort FROM collection ORDER BY position, id`)
    .all();
  return (rows as (Omit<Collection, 'rule' | 'picked'> & { rule: string })[]).map((row) => ({
    ...row,
    rule: JSON.parse(row.rule) as Rule,
    picked: picked.get(row.id) ?? [],
  }));
}

export function putCollection(db: Db, collection: Collection, position: number): void {
  const { picked, rule, ...plain } = collection;
  db.prepare(
    `INSERT INTO collection (id, position, name, slug, text, source, rule, sort)
     VALUES (@id, @position, @name, @slug, @text, @source, @rule, @sort)
     ON CONFLICT (id) DO UPDATE SET name = @name, slug = @slug, text = @text, source = @source, rule = @rule, sort = @sort`,
  ).run({ ...plain, rule: JSON.stringify(rule), position });
  db.prepare(
    `DELETE FROM collection_product WHERE collection_id = ? AND product_id NOT IN (SELECT value FROM json_each(?))`,
  ).run(collection.id, JSON.stringify(picked));
  const put = db.prepare(
    `INSERT INTO collection_product (collection_id, product_id, position) VALUES (?, ?, ?)
     ON CONFLICT DO UPDATE SET position = excluded.position`,
  );
  picked.forEach((productId, place) => put.run(collection.id, productId, place));
}

export function deleteCollection(db: Db, id: string): void {
  db.prepare(`DELETE FROM collection WHERE id = ?`).run(id);
}

export type SlugKind = 'product' | 'category' | 'collection' | 'brand' | 'tag' | 'page';

export function isSlugTaken(db: Db, kind: SlugKind, slug: string, exceptId?: string): boolean {
  return db.prepare(`SELECT 1 FROM ${kind} WHERE slug = ? AND id IS NOT ?`).get(slug, exceptId ?? null) !== undefined;
}

/** Remembers that `slug` now forwards to the thing with this id; a slug in use again stops forwarding. */
export function keepRedirect(db: Db, kind: SlugKind, oldSlug: string, newSlug: string, id: string): void {
  db.prepare(`DELETE FROM redirect WHERE kind = ? AND slug = ?`).run(kind, newSlug);
  db.prepare(
    `INSERT INTO redirect (kind, slug, target_id) VALUES (?, ?, ?) ON CONFLICT DO UPDATE SET target_id = excluded.target_id`,
  ).run(kind, oldSlug, id);
}

export function redirectTarget(db: Db, kind: SlugKind, slug: string): string | undefined {
  return db.prepare(`SELECT target_id FROM redirect WHERE kind = ? AND slug = ?`).pluck().get(kind, slug) as
    string | undefined;
}
