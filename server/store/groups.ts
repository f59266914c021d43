import type { Brand, Category, Collection, Tag } from '../../core/model/group';
import { columnOf, namesOf, type Fields } from '../../core/model/fields';
import { groupFields } from '../../core/model/group-fields';
import { orderOfText, orderText, type Order } from '../../core/model/order';
import { canonicalJson } from '../../core/shared/canonical-json';
import type { AddressedKind } from '../../core/model/document';
import type { Db } from '../database/connection';

type Row = Record<string, unknown>;
type Value = string | number | null;

interface Form {
  read: (value: unknown) => unknown;
  write: (value: unknown) => Value;
}

/** How fields stand in columns, where that is not as they are. */
const forms: Record<'json' | 'flag' | 'order', Form> = {
  json: {
    read: (value: unknown) => (value === null ? null : (JSON.parse(value as string) as unknown)),
    write: (value: unknown) => (value === null ? null : canonicalJson(value)),
  },
  flag: { read: (value: unknown) => value === 1, write: (value: unknown) => (value ? 1 : 0) },
  order: {
    read: (value: unknown) => orderOfText(value as string),
    write: (value: unknown) => orderText(value as Order),
  },
};

type Table = keyof typeof groupFields;

const columnsOf = (fields: Fields) =>
  namesOf(fields, ({ column }) => column !== 'own table').map((name) => ({
    name,
    column: columnOf(name),
    as: forms[fields[name]!.column as keyof typeof forms],
  }));

/** Columns of the fields of every kind of group. */
const groupColumns: Readonly<Record<Table, ReturnType<typeof columnsOf>>> = {
  category: columnsOf(groupFields.category),
  collection: columnsOf(groupFields.collection),
  brand: columnsOf(groupFields.brand),
  tag: columnsOf(groupFields.tag),
};

function fieldsOf(table: Table, row: Row): Row {
  const fields: Row = { id: row.id };
  for (const { name, column, as } of groupColumns[table]) fields[name] = as ? as.read(row[column]) : row[column];
  return fields;
}

/** Adds a group, or replaces the one of its id. `extra`: columns that are written only when it is new. */
function put(db: Db, table: Table, group: object & { id: string }, extra: Record<string, Value> = {}): void {
  const values: Record<string, Value> = { id: group.id, ...extra };
  for (const { name, column, as } of groupColumns[table]) {
    const value = (group as Row)[name];
    values[column] = as ? as.write(value) : (value as Value);
  }
  const names = Object.keys(values);
  const updated = names.filter((name) => name !== 'id' && !(name in extra));
  db.prepare(
    `INSERT INTO ${table} (${names.join(', ')}) VALUES (${names.map((name) => `@${name}`).join(', ')})
     ON CONFLICT (id) DO UPDATE SET ${updated.map((name) => `${name} = @${name}`).join(', ')}`,
  ).run(values);
}

function read<T>(db: Db, table: Table, order = 'id'): T[] {
  return (db.prepare(`SELECT * FROM ${table} ORDER BY ${order}`).all() as Row[]).map(
    (row) => fieldsOf(table, row) as T,
  );
}

const remove = (db: Db, table: Table, id: string) => void db.prepare(`DELETE FROM ${table} WHERE id = ?`).run(id);

export const readCategories = (db: Db): Category[] => read(db, 'category');
export const putCategory = (db: Db, category: Category): void => put(db, 'category', category);
export const deleteCategory = (db: Db, id: string): void => remove(db, 'category', id);

type NamedKind = 'brand' | 'tag';
export const readNamed = (db: Db, kind: NamedKind): (Brand | Tag)[] => read(db, kind);
export const putNamed = (db: Db, kind: NamedKind, thing: Brand | Tag): void => put(db, kind, thing);
export const deleteNamed = (db: Db, kind: NamedKind, id: string): void => remove(db, kind, id);

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
  return read<Omit<Collection, 'picked'>>(db, 'collection', 'position, id').map((collection) => ({
    ...collection,
    picked: picked.get(collection.id) ?? [],
  }));
}

/** Adds a collection at `position` among the shelves, or replaces the one of its id where it stands. */
export function putCollection(db: Db, collection: Collection, position = 0): void {
  put(db, 'collection', collection, { position });
  const { id, picked } = collection;
  db.prepare(
    `DELETE FROM collection_product WHERE collection_id = ? AND product_id NOT IN (SELECT value FROM json_each(?))`,
  ).run(id, JSON.stringify(picked));
  const putProduct = db.prepare(
    `INSERT INTO collection_product (collection_id, product_id, position) VALUES (?, ?, ?)
     ON CONFLICT DO UPDATE SET position = excluded.position`,
  );
  picked.forEach((productId, place) => putProduct.run(id, productId, place));
}

export const deleteCollection = (db: Db, id: string): void => remove(db, 'collection', id);

/** Ids of all collections in the order of their shelves. */
export function shelfOrder(db: Db): string[] {
  return db.prepare(`SELECT id FROM collection ORDER BY position, id`).pluck().all() as string[];
}

/** Puts the shelves in this order; those that are not named come after. */
export function orderCollections(db: Db, ids: readonly string[]): void {
  const put = db.prepare(`UPDATE collection SET position = ? WHERE id = ?`);
  ids.forEach((id, position) => put.run(position, id));
}

export function isSlugTaken(db: Db, kind: AddressedKind, slug: string, exceptId?: string): boolean {
  return db.prepare(`SELECT 1 FROM ${kind} WHERE slug = ? AND id IS NOT ?`).get(slug, exceptId ?? null) !== undefined;
}
