import type { Job } from '../../contract/bulk';
import {
  plannedStates,
  type exchangeRoutes,
  type ImportAnswer,
  type ImportChanges,
  type ImportPreview,
  type ImportSettings,
  type PlannedState,
} from '../../contract/exchange';
import type { BodyOf } from '../../contract/route';
import type { FileTable } from '../../core/exchange/group-rows';
import { columnPlaceOf, OWN_FIELD, type Matching } from '../../core/exchange/choices';
import { FileCells, keyOfMatching } from '../../core/exchange/file-cells';
import { decimalMarkOf, delimiterOf, headingKey, recogniseColumns } from '../../core/exchange/recognise';
import { doneWords, type Done } from '../../core/history/done';
import { DONE_AT_ONCE, type Prepared } from '../jobs/jobs';
import { newId } from '../shared/ids';
import { Pace } from '../shared/pace';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import type { UserId } from '../state/product-or-refuse';
import { addImport, endImport, readImport, keepHeadings, putImportSettings, readHeadings } from '../store/imports';
import { readKept } from '../store/kept-columns';
import { differenceOf, type ProductDifference } from '../store/product-difference';
import { importedTexts } from './imported-texts';
import { columnsOf, forgetPlan, importOrRefuse, planOf, settingsOf, tableOf } from './plan-of-file';
import { isArchive, readArchive } from './read-archive';
import { encodingOf, kindOf, readFile, textOf } from './read-file';

const SAMPLES = 3;
/** Files that are being imported: what is pressed twice is done once. */
const underWay = new Set<string>();

/** By what rows can be found, the surest first. */
function matchOf(columns: readonly (string | null)[]): Matching {
  if (columns.includes('variant sku')) return 'sku';
  if (columns.includes('slug')) return 'slug';
  return columns.includes('variant barcode') ? 'barcode' : 'title';
}

function recognised(catalog: Catalog, table: FileTable) {
  return recogniseColumns(table, columnsOf(catalog), readHeadings(catalog.db));
}

/** How a file most likely is to be read. */
export async function firstLook(
  catalog: Catalog,
  { name, content }: { name: string; content: Buffer },
): Promise<{ table: FileTable; settings: ImportSettings }> {
  const isText = kindOf(content, name) === 'text';
  const encoding = isText ? encodingOf(content) : 'utf-8';
  const delimiter = isText ? delimiterOf(textOf(content, encoding)) : ',';
  const table = await readFile(content, name, { encoding, delimiter, hasHead: true });
  const columns = recognised(catalog, table).map(({ key }) => key);
  const settings: ImportSettings = {
    encoding,
    delimiter,
    hasHead: true,
    decimal: decimalMarkOf(table),
    columns,
    columnsOff: [],
    match: matchOf(columns),
    way: 'both',
    makesGroups: true,
    draftsMissing: false,
    leftOut: [],
    mended: {},
  };
  return { table, settings };
}

/** Keeps a file that arrived, with how it most likely is to be read. Refuses what cannot be read at all. */
export async function takeImport(
  catalog: Catalog,
  user: string,
  arrived: { name: string; content: Buffer },
): Promise<string> {
  if (arrived.content.length === 0) throw invalidField(['files'], refusals.fileEmpty);
  const isPacked = await isArchive(arrived.content);
  const { name, content, pictures } = isPacked
    ? await readArchive(catalog, arrived.content)
    : { ...arrived, pictures: {} };
  const { settings } = await firstLook(catalog, { name, content });
  const id = newId('import');
  const at = catalog.clock().toISOString();
  addImport(catalog.db, {
    id,
    name,
    at,
    userId: user,
    content,
    settings: JSON.stringify(settings),
    pictures: JSON.stringify(pictures),
  });
  return id;
}

/** A file, how it is read, and what its columns are taken for. */
export async function importAnswer(catalog: Catalog, id: string): Promise<ImportAnswer> {
  const row = importOrRefuse(catalog, id);
  const settings = settingsOf(row);
  const table = await tableOf(row, settings);
  const found = recognised(catalog, table);
  return {
    id,
    name: row.name,
    at: row.at,
    state: row.state,
    outcome: row.outcome,
    isText: kindOf(row.content, row.name) === 'text',
    rows: table.rows.length,
    pictures: Object.keys(JSON.parse(row.pictures) as object).length,
    columns: table.head.map((heading, place) => {
      const isAsFound = settings.columns[place] === found[place]!.key;
      return {
        heading,
        samples: [...new Set(table.rows.slice(0, 50).map((cells) => cells[place] ?? ''))]
          .filter(Boolean)
          .slice(0, SAMPLES),
        sure: isAsFound ? Math.round(found[place]!.confidence * 100) : 0,
        why: isAsFound ? found[place]!.why : '',
      };
    }),
    settings,
    mappings: readKept(catalog.db, 'column_mapping').map(({ id: of, name }) => ({ id: of, name })),
    fields: [
      ...columnsOf(catalog).map(({ key, label, explains }) => ({ key, label, explains })),
      {
        key: OWN_FIELD,
        label: 'A field of its own',
        explains: 'Shoppers read the heading and the value among its facts.',
      },
    ],
  };
}

/** What is chosen for a file after these changes. */
function withChanges(
  before: ImportSettings,
  { fills = {}, switches = {}, leavesOut = [], takesBack, mends, ...plain }: ImportChanges,
): ImportSettings {
  const isOff = (place: number) => !(switches[place] ?? !before.columnsOff.includes(place));
  return {
    ...before,
    ...plain,
    columns: before.columns.map((key, place) => (place in fills ? fills[place]! : key)),
    columnsOff: before.columns.flatMap((_, place) => (isOff(place) ? [place] : [])),
    leftOut: [...new Set([...(takesBack ? [] : before.leftOut), ...leavesOut])],
    mended: { ...before.mended, ...mends },
  };
}

/** Changes how a file is read, or what is to be done with it. */
export async function changeImport(catalog: Catalog, id: string, changes: ImportChanges): Promise<ImportAnswer> {
  const row = importOrRefuse(catalog, id);
  if (row.state === 'done') throw invalidField([], refusals.importDone);
  const before = settingsOf(row);
  let settings = withChanges(before, changes);
  const repeated = settings.columns.find(
    (key, i) => key !== null && key !== OWN_FIELD && settings.columns.indexOf(key) !== i,
  );
  if (repeated !== undefined) throw invalidField(['columns'], refusals.columnTwice);
  const isReadOtherwise = (['encoding', 'delimiter', 'hasHead'] as const).some(
    (name) => settings[name] !== before[name],
  );
  if (isReadOtherwise) {
    // Other cells: what was chosen for the old ones means nothing now.
    const table = await tableOf(row, settings);
    const columns = recognised(catalog, table).map(({ key }) => key);
    settings = {
      ...settings,
      decimal: decimalMarkOf(table),
      columns,
      columnsOff: [],
      match: matchOf(columns),
      leftOut: [],
      mended: {},
    };
  } else if (changes.fills) {
    // By what no column holds nothing is found.
    const isHeld =
      columnPlaceOf(settings.match) !== undefined ||
      settings.columns.includes(keyOfMatching[settings.match as keyof typeof keyOfMatching]);
    if (!isHeld && changes.match === undefined) settings = { ...settings, match: matchOf(settings.columns) };
    const { head } = await tableOf(row, settings);
    const chosen = Object.entries(changes.fills).flatMap(([place, key]) =>
      key === null ? [] : [[headingKey(head[Number(place)] ?? ''), key] as const],
    );
    keepHeadings(catalog.db, new Map(chosen));
  }
  putImportSettings(catalog.db, id, JSON.stringify(settings));
  return importAnswer(catalog, id);
}

const noCounts = () => Object.fromEntries(plannedStates.map((state) => [state, 0])) as Record<PlannedState, number>;

/** What a file would do, product by product and cell by cell. */
export async function previewImport(
  catalog: Catalog,
  id: string,
  { only, offset, limit }: BodyOf<typeof exchangeRoutes.previewImport>,
): Promise<ImportPreview> {
  const { table, choices, planned, made, missing, warnings } = await planOf(catalog, importOrRefuse(catalog, id));
  const { at } = new FileCells(table, choices);
  const counts = noCounts();
  for (const { state } of planned) counts[state]++;
  const shown =
    only === null ? planned.filter(({ state }) => state !== 'same') : planned.filter(({ state }) => state === only);
  // What needs a look comes first.
  if (only === null) shown.sort((a, b) => Number(b.state === 'refused') - Number(a.state === 'refused'));
  return {
    counts,
    missing: missing.length,
    made: [...made.brands, ...made.tags, ...made.categories].map(({ name }) => name),
    warnings,
    total: shown.length,
    products: shown.slice(offset, offset + limit).map(({ title, state, rows, cells, problems }) => ({
      title,
      state,
      rows: [...rows],
      cells: [...cells],
      problems: problems.map((problem) => ({
        ...problem,
        text: problem.column === null ? '' : at(problem.row, problem.column),
      })),
    })),
  };
}

/** Does what a file would do, as one change. Rows that are refused are passed over. */
export async function runImport(catalog: Catalog, user: UserId, id: string): Promise<Job> {
  const row = importOrRefuse(catalog, id);
  if (row.state === 'done') throw invalidField([], refusals.importDone);
  if (underWay.has(id)) throw invalidField([], refusals.importUnderWay);
  underWay.add(id);
  const prepare = async (): Promise<Prepared> => {
    const { planned, made, missing } = await planOf(catalog, row);
    const pace = new Pace();
    const differences: ProductDifference[] = [];
    let [added, changed, deleted, refused] = [0, 0, 0, 0];
    for (const one of planned) {
      await pace.pause();
      if (one.state === 'refused') refused++;
      if (one.state === 'deleted') {
        deleted++;
        differences.push({ id: one.before!.id, deleted: true });
      }
      if (!one.after) continue;
      if (one.before) {
        changed++;
        differences.push(differenceOf(one.before, one.after));
      } else {
        added++;
        differences.push({ id: one.after.id, added: one.after });
      }
    }
    for (const product of missing) {
      changed++;
      differences.push(differenceOf(product, { ...product, status: 'draft' }));
    }
    const done: Done = { did: 'imported', file: row.name, added, changed, deleted };
    const outcome = [doneWords(done), ...(refused > 0 ? [`${refused} refused`] : [])].join('; ');
    return {
      work:
        differences.length > 0
          ? {
              what: 'put',
              done,
              differences,
              groups: made,
              texts: importedTexts(catalog, planned),
              ends: { importId: id, outcome },
            }
          : undefined,
      outcome,
    };
  };
  const ended = (job: Job | undefined) => {
    underWay.delete(id);
    forgetPlan();
    if (job?.state !== 'done') return;
    // Where there was nothing to write, nobody has noted yet that it is over.
    if (readImport(catalog.db, id)?.state === 'open') endImport(catalog.db, id, job.outcome);
    catalog.events.emit('event', { type: 'changed', id: 0, subjects: [] });
  };
  const { rows } = await tableOf(row, settingsOf(row)).catch((error: unknown) => {
    ended(undefined);
    throw error;
  });
  if (rows.length > DONE_AT_ONCE)
    return catalog.jobs.start(`Importing “${row.name}”`, rows.length, user, prepare, ended);
  let job: Job | undefined;
  try {
    return (job = await catalog.jobs.atOnce(user, prepare));
  } finally {
    ended(job);
  }
}

/** The rows that were refused, as they came, each with the reason. */
export async function refusedRows(catalog: Catalog, id: string): Promise<{ head: string[]; rows: string[][] }> {
  const { table, planned } = await planOf(catalog, importOrRefuse(catalog, id));
  const rows = planned
    .filter(({ state }) => state === 'refused')
    .flatMap((one) =>
      one.rows.map((row) => {
        const reasons = one.problems
          .filter((problem) => problem.row === row)
          .map(({ column, message }) => (column === null ? message : `${table.head[column]}: ${message}`));
        return [...table.rows[row]!, reasons.join(' ')];
      }),
    );
  return { head: [...table.head, 'Why it was refused'], rows };
}
