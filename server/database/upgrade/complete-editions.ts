import { fold } from '../../../core/shared/fold';
import { nameKey } from '../../../core/shared/name-key';
import { canonicalJson } from '../../../core/shared/canonical-json';
import { redirectKey, type ProductDocument, type Redirect, type ShopDocument } from '../../../core/model/document';
import { optionField, optionOfField } from '../../../core/rules/field';
import { carryDocuments } from './carry-over';
import type { Db } from '../db';
import { serialise } from '../stored-form';

type Cells = Record<string, unknown>;

interface KnownCosts {
  supplier: string;
  costs: ReadonlyMap<string, number>;
}

/** Options and their values had keys in which marks and signs did not count, so that "Rosé" and "Rose" had the same. */
function oldKey(name: string): string {
  return fold(name)
    .replace(/&/g, ' and ')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 120);
}

/** What conditions that speak of options are to say instead: by the old key of an option, its new one and those of its values. */
type NewKeys = ReadonlyMap<string, { key: string; values: ReadonlyMap<string, readonly string[]> }>;

function newKeys(db: Db): NewKeys {
  const rows = db
    .prepare(`SELECT option.name, option_value.name AS value FROM option JOIN option_value ON option_id = option.id`)
    .all() as { name: string; value: string }[];
  const keys = new Map<string, { key: string; values: Map<string, string[]> }>();
  for (const { name, value } of rows) {
    const known = keys.get(oldKey(name)) ?? { key: nameKey(name), values: new Map<string, string[]>() };
    const values = known.values.get(oldKey(value)) ?? [];
    if (!values.includes(nameKey(value))) values.push(nameKey(value));
    known.values.set(oldKey(value), values);
    keys.set(oldKey(name), known);
  }
  return keys;
}

/** The same JSON with the conditions in it that speak of options saying what they said, by the new keys. */
function withNewKeys(json: unknown, keys: NewKeys): unknown {
  if (Array.isArray(json)) return json.map((item) => withNewKeys(item, keys));
  if (typeof json !== 'object' || json === null) return json;
  const { field, value } = json as { field?: unknown; value?: unknown };
  const known = typeof field === 'string' ? keys.get(optionOfField(field) ?? '') : undefined;
  if (known && Array.isArray(value))
    return {
      ...json,
      field: optionField(known.key),
      value: value.flatMap((each: string) => known.values.get(each) ?? [each]),
    };
  return Object.fromEntries(Object.entries(json).map(([name, part]) => [name, withNewKeys(part, keys)]));
}

/** Columns in which rules are stored. */
const ruleColumns: readonly [table: string, column: string][] = [
  ['collection', 'rule'],
  ['view', 'rule'],
  ['product', 'goes_with'],
  ['product', 'step_up'],
  ['product', 'similar'],
  ['product', 'bundle'],
];

function renameKeysInRules(db: Db, keys: NewKeys): void {
  const renamed = (text: string) => canonicalJson(withNewKeys(JSON.parse(text), keys));
  for (const [table, column] of ruleColumns) {
    const put = db.prepare(`UPDATE ${table} SET ${column} = ? WHERE id = ?`);
    const rows = db.prepare(`SELECT id, ${column} AS text FROM ${table} WHERE ${column} LIKE '%"option.%'`).all();
    for (const { id, text } of rows as { id: string; text: string }[]) put.run(renamed(text), id);
  }
  const put = db.prepare(`UPDATE journal SET before = ?, after = ? WHERE seq = ?`);
  const rows = db.prepare(
    `SELECT seq, before, after FROM journal WHERE before LIKE '%option.%' OR after LIKE '%option.%'`,
  );
  for (const { seq, before, after } of rows.all() as { seq: number; before: string | null; after: string | null }[])
    put.run(inCells(before, renamed), inCells(after, renamed), seq);
}

/** The cells of a row, as the journal tells them, with those that hold rules made other ones. */
function inCells(json: string | null, renamed: (text: string) => string): string | null {
  if (json === null) return null;
  const cells = JSON.parse(json) as Cells;
  for (const [, column] of ruleColumns) {
    const cell = cells[column];
    if (typeof cell === 'string' && cell.includes('"option.')) cells[column] = renamed(cell);
  }
  return JSON.stringify(cells);
}

/** Cells that span hundreds of others are refused now; those that were stored froze whoever drew them. */
const withNarrowCells = (html: string) => html.replace(/ (?:col|row)span="\d{3,}"/g, '');

function narrowCells(db: Db): void {
  const put = db.prepare(`UPDATE product SET description = ? WHERE id = ?`);
  const rows = db.prepare(`SELECT id, description FROM product WHERE description LIKE '%span="___%'`).all();
  for (const { id, description } of rows as { id: string; description: string }[])
    put.run(withNarrowCells(description), id);
}

/**
 * Editions of before did not hold what goods cost and who delivers them, nor redirects: the live shop took them from the
 * working copy. So that nothing changes for shoppers, they are put into the editions as they are now. Rules get the keys
 * that options have now.
 */
export function completeEditions(db: Db): void {
  const costs = new Map(
    db.prepare(`SELECT id, cost FROM variant WHERE cost IS NOT NULL`).raw().all() as [string, number][],
  );
  const suppliers = new Map(db.prepare(`SELECT id, supplier FROM product`).raw().all() as [string, string][]);
  narrowCells(db);
  const keys = newKeys(db);
  renameKeysInRules(db, keys);
  carryDocuments(db, (document) => {
    const { body } = withNewKeys(document, keys) as ShopDocument;
    return document.kind === 'product'
      ? {
          ...document,
          body: withCosts(body as ProductDocument, { supplier: suppliers.get(document.key) ?? '', costs }),
        }
      : ({ ...document, body } as ShopDocument);
  });
  const latest = db.prepare(`SELECT max(number) FROM edition`).pluck().get() as number | null;
  if (latest === null) return;
  const store = db.prepare(`INSERT INTO document (hash, kind, body) VALUES (?, 'redirect', ?) ON CONFLICT DO NOTHING`);
  const open = db.prepare(
    `INSERT INTO edition_span (kind, key, since, until, hash) VALUES ('redirect', ?, ?, NULL, ?)`,
  );
  const redirects = db.prepare(`SELECT kind, slug, target_id AS targetId FROM redirect ORDER BY kind, slug`);
  for (const body of redirects.all() as Redirect[]) {
    const key = redirectKey(body);
    const { hash, text } = serialise({ kind: 'redirect', key, body });
    store.run(hash, text);
    open.run(key, latest, hash);
  }
}

const withCosts = (product: ProductDocument, { supplier, costs }: KnownCosts): ProductDocument => ({
  ...product,
  supplier,
  description: withNarrowCells(product.description),
  variants: product.variants.map((variant) => ({ ...variant, cost: costs.get(variant.id) ?? null })),
});
