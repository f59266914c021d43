import type { Db } from './connection';

type Cells = Record<string, unknown>;

/** Did SQLite refuse because of a rule of this sort? */
export function isBroken(error: unknown, code: string): error is Error & { code: string } {
  return String((error as { code?: unknown } | undefined)?.code).startsWith(code);
}

/** What rows of a table are called. */
const nouns: Readonly<Record<string, string>> = {
  product: 'product',
  variant: 'variant',
  category: 'category',
  collection: 'collection',
  brand: 'brand',
  tag: 'tag',
  page: 'page',
  menu_item: 'menu item',
  spec_sheet: 'spec sheet',
  option_list: 'option list',
  option: 'option',
  option_value: 'option value',
  picture: 'picture',
};

const nounOf = (table: string) => nouns[table] ?? 'entry';
const nameOf = (row: Cells | undefined) => String(row?.title ?? row?.name ?? row?.label ?? '');
const named = (table: string, row: Cells | undefined) =>
  nameOf(row) === '' ? `the ${nounOf(table)}` : `the ${nounOf(table)} “${nameOf(row)}”`;

const sentence = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** The row as it was when it went, as the journal tells it. */
function goneRow(db: Db, table: string, id: unknown): Cells | undefined {
  const before = db
    .prepare(
      `SELECT before FROM journal WHERE table_name = ? AND row_key = json_array(?) AND after IS NULL ORDER BY seq DESC LIMIT 1`,
    )
    .pluck()
    .get(table, id) as string | undefined;
  return before === undefined ? undefined : (JSON.parse(before) as Cells);
}

interface BrokenLink {
  table: string;
  rowid: number | null;
  parent: string;
  fkid: number;
}

/** Most of what is missing that is named. */
const MOST_NAMED = 3;

/**
 * In words, the things that rows of these tables need and that are not there. To be asked within the transaction that put
 * the rows in place.
 */
export function missingLinks(db: Db, steps: readonly { tableName: string; to: string | null }[]): string[] {
  const wanted = steps.flatMap(({ tableName, to }) =>
    to === null ? [] : linksOf(db, tableName, JSON.parse(to) as Cells),
  );
  const found = new Set<string>();
  for (const { parent, column, id } of wanted)
    if (db.prepare(`SELECT 1 FROM ${parent} WHERE ${column} = ?`).get(id) === undefined)
      found.add(`${named(parent, goneRow(db, parent, id))} was deleted since, and is needed for it.`);
  if (found.size === 0)
    for (const { table, parent } of db.pragma('foreign_key_check') as BrokenLink[])
      found.add(`another ${nounOf(table)} still needs the ${nounOf(parent)} that would go.`);
  return [...found].slice(0, MOST_NAMED).map(sentence);
}

/** In words, that a category would stand below itself; undefined when none of these rows makes it so. */
export function circleOf(db: Db, steps: readonly { tableName: string; key: unknown[] }[]): string | undefined {
  const parentOf = db.prepare(`SELECT parent_id FROM category WHERE id = ?`).pluck();
  for (const { tableName, key } of steps) {
    if (tableName !== 'category') continue;
    const met = new Set<unknown>();
    for (let id = key[0]; id; id = parentOf.get(id)) {
      if (met.has(id)) {
        const row = db.prepare(`SELECT * FROM category WHERE id = ?`).get(id) as Cells;
        return sentence(`${named('category', row)} would stand below itself. Move it first.`);
      }
      met.add(id);
    }
  }
  return undefined;
}

/** What a row points at: the tables and ids that must exist. */
function linksOf(db: Db, table: string, row: Cells): { parent: string; column: string; id: unknown }[] {
  const links = db.pragma(`foreign_key_list(${table})`) as { table: string; from: string; to: string | null }[];
  return links.flatMap(({ table: parent, from, to }) =>
    row[from] === null || row[from] === undefined ? [] : [{ parent, column: to ?? 'id', id: row[from] }],
  );
}

/** Why a row cannot stand there, in words: another has taken its place. */
export function takenBy(db: Db, table: string, row: Cells | null, { message }: Error): string {
  const column = /UNIQUE constraint failed: \w+\.(\w+)/.exec(message)?.[1];
  if (!column || !row) return `${named(table, row ?? undefined)} cannot be as it was.`;
  const other = db.prepare(`SELECT * FROM ${table} WHERE ${column} = ?`).get(row[column]) as Cells | undefined;
  const what = column === 'slug' ? `the address “${String(row.slug)}”` : 'its place';
  return sentence(`${named(table, other)} has ${what} now. Change that first.`);
}
