import type Database from 'better-sqlite3';

/** A table whose rows are journaled, and the thing that its rows are part of. */
export interface JournaledTable {
  name: string;
  subjectKind: string;
  /** column that holds the subject's id; absent for things of which a shop has one */
  subjectColumn?: string;
  /** the SQL for the subject's id, where no column holds it; `row` is OLD or NEW */
  subject?: (row: string) => string;
}

export const journaledTables: readonly JournaledTable[] = [
  { name: 'brand', subjectKind: 'brand', subjectColumn: 'id' },
  { name: 'tag', subjectKind: 'tag', subjectColumn: 'id' },
  { name: 'category', subjectKind: 'category', subjectColumn: 'id' },
  { name: 'spec_sheet', subjectKind: 'specSheet', subjectColumn: 'id' },
  { name: 'option_list', subjectKind: 'optionList', subjectColumn: 'id' },
  { name: 'product', subjectKind: 'product', subjectColumn: 'id' },
  { name: 'product_category', subjectKind: 'product', subjectColumn: 'product_id' },
  { name: 'product_tag', subjectKind: 'product', subjectColumn: 'product_id' },
  { name: 'option', subjectKind: 'product', subjectColumn: 'product_id' },
  { name: 'option_value', subjectKind: 'product', subjectColumn: 'product_id' },
  { name: 'picture', subjectKind: 'product', subjectColumn: 'product_id' },
  { name: 'variant', subjectKind: 'product', subjectColumn: 'product_id' },
  { name: 'stock', subjectKind: 'product', subjectColumn: 'product_id' },
  { name: 'collection', subjectKind: 'collection', subjectColumn: 'id' },
  { name: 'collection_product', subjectKind: 'collection', subjectColumn: 'collection_id' },
  { name: 'page', subjectKind: 'page', subjectColumn: 'id' },
  { name: 'section', subjectKind: 'page', subjectColumn: 'page_id' },
  { name: 'menu_item', subjectKind: 'menu' },
  { name: 'setting', subjectKind: 'settings' },
  { name: 'redirect', subjectKind: 'redirect', subject: (row) => `${row}.kind || '/' || ${row}.slug` },
  { name: 'offer', subjectKind: 'offer', subjectColumn: 'id' },
  { name: 'offer_code', subjectKind: 'codes', subjectColumn: 'offer_id' },
  { name: 'embed', subjectKind: 'embed', subjectColumn: 'id' },
  { name: 'feed', subjectKind: 'feed', subjectColumn: 'id' },
  ...(['wording', 'wording_draft'] as const).map((name) => ({
    name,
    subjectKind: name === 'wording' ? 'wording' : 'wordingDraft',
    subject: (row: string) => `${row}.locale || '/' || ${row}.kind || '/' || ${row}.target_id`,
  })),
  { name: 'forward', subjectKind: 'forward', subjectColumn: 'path' },
  { name: 'chosen_listing', subjectKind: 'chosenListing', subjectColumn: 'id' },
  { name: 'supplier', subjectKind: 'supplier', subjectColumn: 'id' },
  { name: 'supply', subjectKind: 'supplier', subjectColumn: 'supplier_id' },
  { name: 'proposal', subjectKind: 'proposal', subjectColumn: 'id' },
  { name: 'view', subjectKind: 'view', subjectColumn: 'id' },
];

export interface TableColumns {
  all: string[];
  key: string[];
}

export function columnsOf(db: Database.Database, table: string): TableColumns {
  const info = db.pragma(`table_info(${table})`) as { name: string; pk: number }[];
  return {
    all: info.map((column) => column.name),
    key: info
      .filter((column) => column.pk > 0)
      .sort((a, b) => a.pk - b.pk)
      .map((column) => column.name),
  };
}

/** SQL that makes one JSON text of a row; `row` is OLD, NEW or a table name. */
export function rowJson(columns: TableColumns, row: string): string {
  return `json_object(${columns.all.map((name) => `'${name}', ${row}.${name}`).join(', ')})`;
}

function trigger(table: JournaledTable, columns: TableColumns, event: 'INSERT' | 'UPDATE' | 'DELETE'): string {
  const row = event === 'DELETE' ? 'OLD' : 'NEW';
  const id = table.subject?.(row) ?? (table.subjectColumn ? `${row}.${table.subjectColumn}` : `'shop'`);
  const subject = `'${table.subjectKind}:' || ${id}`;
  const key = `json_array(${columns.key.map((name) => `${row}.${name}`).join(', ')})`;
  const before = event === 'INSERT' ? 'NULL' : rowJson(columns, 'OLD');
  const after = event === 'DELETE' ? 'NULL' : rowJson(columns, 'NEW');
  const isChanged = columns.all.map((name) => `OLD.${name} IS NOT NEW.${name}`).join(' OR ');
  return `
    CREATE TEMP TRIGGER journal_${table.name}_${event.toLowerCase()} AFTER ${event} ON main.${table.name}
    ${event === 'UPDATE' ? `WHEN ${isChanged}` : ''}
    BEGIN
      SELECT RAISE(ABORT, 'write to ${table.name} outside of change()') WHERE NOT EXISTS (SELECT 1 FROM current_change);
      INSERT INTO journal (change_id, table_name, row_key, subject, before, after)
      SELECT id, '${table.name}', ${key}, ${subject}, ${before}, ${after} FROM current_change;
    END`;
}

/**
 * Makes the triggers that record every touched row before and after. They belong to the connection, so they always fit
 * the columns of today; a write outside of `change` is refused.
 */
export function installJournal(db: Database.Database, tables = journaledTables): void {
  for (const table of tables) {
    const columns = columnsOf(db, table.name);
    for (const event of ['INSERT', 'UPDATE', 'DELETE'] as const) db.exec(trigger(table, columns, event));
  }
}
