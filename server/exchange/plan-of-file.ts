import { importSettingsSchema, type ImportSettings } from '../../contract/exchange';
import { Accidents } from '../../core/exchange/accidents';
import type { ExchangeColumn, WriteTerms } from '../../core/exchange/column';
import type { KnownPicture } from '../../core/exchange/known-picture';
import { exchangeColumns } from '../../core/exchange/columns';
import type { FileTable } from '../../core/exchange/group-rows';
import type { ImportChoices } from '../../core/exchange/choices';
import { planImport, type ImportSources } from '../../core/exchange/plan';
import type { PlannedProduct } from '../../core/exchange/planned';
import type { Product } from '../../core/model/product';
import { wordingKey } from '../../core/model/wording';
import { freeSlug, slugFrom } from '../../core/shared/slug';
import type { NewGroups } from '../jobs/work';
import { newId } from '../shared/ids';
import { Pace } from '../shared/pace';
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
  exchangeColumns(
    shop.specSheets.values(),
    shop.settings.languages.others.map(({ locale }) => locale),
  );

/** What products say in other languages. */
export const toldIn =
  ({ working: { shop } }: Catalog): WriteTerms['told'] =>
  (locale, id, path) =>
    shop.wordings.get(wordingKey({ locale, kind: 'product', id }))?.texts[path]?.text ?? '';

interface Plan {
  table: FileTable;
  choices: ImportChoices;
  planned: PlannedProduct[];
  warnings: string[];
  made: NewGroups;
  /** products on the shop of which no row speaks, where they are to become drafts */
  missing: Product[];
}

/** Pictures by name: those that came with the file, and those that goods of the shop have. */
function picturesOf({ working }: Catalog, row: ImportRow): (name: string) => KnownPicture | undefined {
  const own = JSON.parse(row.pictures) as Record<string, KnownPicture | undefined>;
  let shops: Map<string, KnownPicture> | undefined;
  return (name) => {
    if (Object.hasOwn(own, name)) return own[name];
    shops ??= new Map(
      [...working.products.values()].flatMap(({ pictures }) =>
        pictures.map(({ media, width, height, background }) => [`${media}.webp`, { media, width, height, background }]),
      ),
    );
    return shops.get(name);
  };
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

/** The plan that was worked out last: it is looked at page by page, and then done. */
let latestPlan: { key: string; plan: Promise<Plan> } | undefined;

/** What the rows of a file come to, worked out from the goods as they are now. */
export function planOf(catalog: Catalog, row: ImportRow): Promise<Plan> {
  const key = [catalog.folder, row.id, row.settings, catalog.working.shop.version].join(' ');
  if (latestPlan?.key !== key) {
    latestPlan = { key, plan: workOut(catalog, row) };
    latestPlan.plan.catch(() => (latestPlan = undefined));
  }
  return latestPlan.plan;
}

/** The plan is not needed any more: it holds as much as the file. */
export function forgetPlan(): void {
  latestPlan = undefined;
}

/** What rows are read with. */
export function importSources(
  catalog: Catalog,
  { head }: Pick<FileTable, 'head'>,
  choices: ImportChoices & Pick<ImportSettings, 'decimal'>,
  { columns, names, picture }: Pick<ImportSources, 'columns' | 'names' | 'picture'>,
): ImportSources {
  const { shop } = catalog.working;
  const slugs = new Set<string>();
  const sheets = new Map(
    [...shop.specSheets.values()].flatMap(({ id, attributes }) => attributes.map((each) => [each.id, id])),
  );
  const { timeZone } = shop.settings;
  const told = toldIn(catalog);
  return {
    columns,
    names,
    told,
    decimal: choices.decimal,
    timeZone,
    picture,
    cleanHtml: cleanRichText,
    find: finderOf(catalog, { choices, columns, head, timeZone, names, told }),
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
}

async function workOut(catalog: Catalog, row: ImportRow): Promise<Plan> {
  const settings = settingsOf(row);
  const table = await tableOf(row, settings);
  const { names, made } = namesOfShop(catalog, settings.makesGroups);
  const picture = picturesOf(catalog, row);
  const sources = importSources(catalog, table, settings, { columns: columnsOf(catalog), names, picture });
  const accidents = new Accidents();
  const planned: PlannedProduct[] = [];
  const pace = new Pace();
  for (const one of planImport(table, settings, sources)) {
    await pace.pause();
    if (!one) continue;
    accidents.see(one);
    planned.push(one);
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
