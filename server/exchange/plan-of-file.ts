import { setImmediate as nextTurn } from 'node:timers/promises';
import { importSettingsSchema, type ImportSettings } from '../../contract/exchange';
import { Accidents } from '../../core/exchange/accidents';
import type { ExchangeColumn } from '../../core/exchange/column';
import { exchangeColumns } from '../../core/exchange/columns';
import type { FileTable } from '../../core/exchange/group-rows';
import { planImport, type ImportChoices, type PlannedProduct } from '../../core/exchange/plan';
import type { Product } from '../../core/model/product';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import type { NewGroups } from '../jobs/work';
import { newId } from '../shared/ids';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { cleanRichText } from '../shared/rich-text';
import type { Catalog } from '../state/catalog';
import { isSlugTaken } from '../store/groups';
import { readImport, type ImportRow } from '../store/imports';
import { nextFeaturedPlace } from '../store/put-products';
import { finderOf } from './find';
import { namesOfShop } from './names';
import { readFile } from './read-file';

/** Products that are planned before others are served. */
const AT_ONCE = 200;

export function importOrRefuse({ db }: Catalog, id: string): ImportRow {
  const row = readImport(db, id);
  if (!row) throw notFound(refusals.noSuchImport);
  return row;
}

/** The table that was read last: while somebody works on a file, it is asked for again and again. */
let latest: { key: string; table: FileTable } | undefined;

export const settingsOf = (row: ImportRow) => importSettingsSchema.parse(JSON.parse(row.settings));

export async function tableOf(row: ImportRow, settings: ImportSettings): Promise<FileTable> {
  const { encoding, delimiter, hasHead } = settings;
  const key = [row.id, encoding, delimiter, hasHead].join(' ');
  if (latest?.key !== key) latest = { key, table: await readFile(row.content, row.name, settings) };
  return latest.table;
}

export const columnsOf = ({ working: { shop } }: Catalog): ExchangeColumn[] =>
  exchangeColumns(shop.specSheets.values());

interface Plan {
  table: FileTable;
  choices: ImportChoices;
  planned: PlannedProduct[];
  warnings: string[];
  made: NewGroups;
  /** products on the shop of which no row speaks, where they are to become drafts */
  missing: Product[];
}

/** Only groups that a product is put into are made: what refused rows name is not. */
function usedOf(made: NewGroups, products: readonly Product[]): NewGroups {
  const used = new Set(
    products.flatMap(({ brandId, tagIds, categoryIds }) => [brandId ?? '', ...tagIds, ...categoryIds]),
  );
  for (const category of [...made.categories].reverse())
    if (used.has(category.id) && category.parentId) used.add(category.parentId);
  const isUsed = ({ id }: { id: string }) => used.has(id);
  return {
    brands: made.brands.filter(isUsed),
    tags: made.tags.filter(isUsed),
    categories: made.categories.filter(isUsed),
  };
}

/** What the rows of a file come to, worked out from the goods as they are now. */
export async function planOf(catalog: Catalog, row: ImportRow): Promise<Plan> {
  const settings = settingsOf(row);
  const table = await tableOf(row, settings);
  const { names, made } = namesOfShop(catalog, settings.makesGroups);
  const { shop } = catalog.working;
  const slugs = new Set<string>();
  const sheets = new Map(
    [...shop.specSheets.values()].flatMap(({ id, attributes }) => attributes.map((each) => [each.id, id])),
  );
  const sources = {
    columns: columnsOf(catalog),
    names,
    decimal: settings.decimal,
    timeZone: shop.settings.timeZone,
    cleanHtml: cleanRichText,
    find: finderOf(catalog),
    sheetOf: (attributeId: string) => sheets.get(attributeId),
    newId,
    freeSlug: (wanted: string) => {
      const slug = freeSlug(slugFrom(wanted), (each) => slugs.has(each) || isSlugTaken(catalog.db, 'product', each));
      slugs.add(slug);
      return slug;
    },
    nextFeaturedPlace: nextFeaturedPlace(catalog.db),
    now: catalog.clock().toISOString(),
  };
  const accidents = new Accidents();
  const planned: PlannedProduct[] = [];
  for (const one of planImport(table, settings, sources)) {
    accidents.see(one);
    planned.push(one);
    if (planned.length % AT_ONCE === 0) await nextTurn();
  }
  const spoken = new Set(planned.map(({ before }) => before?.id));
  const missing = settings.draftsMissing
    ? [...catalog.working.products.values()].filter(({ id, status }) => status === 'live' && !spoken.has(id))
    : [];
  const after = planned.flatMap((one) => one.after ?? []);
  return {
    table,
    choices: settings,
    planned,
    made: usedOf(made, after),
    missing,
    warnings: accidents.warnings(table, settings),
  };
}
