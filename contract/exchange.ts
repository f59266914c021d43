import { z } from 'zod';
import { delimiters, importWays, matchings, rowKinds } from '../core/exchange/choices';
import { jobSchema, whichSchema } from './bulk';
import { route } from './route';

const whole = z.number().int();
const ok = z.object({ ok: z.literal(true) });

export const encodings = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252', 'windows-1250', 'windows-1251'] as const;
export const fileFormats = ['csv', 'xlsx', 'json'] as const;
export type FileFormat = (typeof fileFormats)[number];

const MOST_COLUMNS = 500;
const key = z.string().max(80);

/** How a file is read, and what is to be done with its rows. */
export const importSettingsSchema = z.strictObject({
  /** of text files */
  encoding: z.enum(encodings),
  delimiter: z.enum(delimiters),
  /** the first row tells what the columns are */
  hasHead: z.boolean(),
  decimal: z.enum(['.', ',']),
  /** for each column what it fills; null for nothing */
  columns: z.array(key.nullable()).max(MOST_COLUMNS),
  /** columns whose values stay as they are */
  columnsOff: z.array(whole.min(0)).max(MOST_COLUMNS),
  match: z
    .union([z.enum(matchings), z.templateLiteral(['column:', z.number()])])
    .describe('by what rows are found in the shop: a usual number, or a column of the file by its place'),
  way: z.enum(importWays),
  /** brands, tags and categories that are not there are made */
  makesGroups: z.boolean(),
  /** products on the shop of which no row speaks become drafts */
  draftsMissing: z.boolean(),
  leftOut: z.array(whole.min(0)).max(200_000),
  mended: z.record(z.string().regex(/^\d+:\d+$/), z.string().max(200_000)),
});
export type ImportSettings = z.infer<typeof importSettingsSchema>;

const byPlace = <T extends z.ZodType>(value: T) => z.record(z.string().regex(/^\d{1,3}$/), value);

/**
 * What somebody changes of it. What is told of single columns, rows and cells joins what was chosen before: two tabs, or two
 * quick hands, lose nothing of each other.
 */
const importChangesSchema = importSettingsSchema
  .omit({ columns: true, columnsOff: true, leftOut: true, mended: true })
  .extend({
    fills: byPlace(key.nullable()).describe('for columns, by their places: what they fill'),
    switches: byPlace(z.boolean()).describe('for columns, by their places: whether they change goods'),
    leavesOut: importSettingsSchema.shape.leftOut.describe('rows that are to do nothing'),
    takesBack: z.literal(true).describe('all rows that were left out do something again'),
    mends: importSettingsSchema.shape.mended.describe('cells, by row:column, with what stands in them instead'),
  })
  .partial();
export type ImportChanges = z.infer<typeof importChangesSchema>;

const columnChoice = z.object({ key: z.string(), label: z.string(), explains: z.string() });

const keptName = z.string().trim().min(1, 'It needs a name.').max(80, 'At most 80 characters.');
const named = z.object({ id: z.string(), name: z.string() });

const importFile = z.object({
  id: z.string(),
  name: z.string(),
  at: z.string(),
  state: z.enum(['open', 'done']),
  outcome: z.string(),
});

const importAnswer = importFile.extend({
  isText: z.boolean(),
  rows: whole,
  /** that came in one ZIP with it */
  pictures: whole,
  columns: z.array(
    z.object({
      heading: z.string(),
      samples: z.array(z.string()),
      /** how sure it is what the column is, of 100, and why; 0 where nothing was found */
      sure: whole,
      why: z.string(),
    }),
  ),
  settings: importSettingsSchema,
  fields: z.array(columnChoice),
  /** how columns of other files are taken, by name */
  mappings: z.array(named),
});
export type ImportAnswer = z.infer<typeof importAnswer>;

export const plannedStates = ['new', 'changed', 'same', 'refused', 'deleted', 'passed'] as const;
export type PlannedState = (typeof plannedStates)[number];

const previewAnswer = z.object({
  counts: z.record(z.enum(plannedStates), whole),
  /** products on the shop that would become drafts */
  missing: whole,
  /** brands, tags and categories that would be made */
  made: z.array(z.string()),
  warnings: z.array(z.string()),
  total: whole,
  products: z.array(
    z.object({
      title: z.string(),
      state: z.enum(plannedStates),
      rows: z.array(whole),
      cells: z.array(z.object({ row: whole, column: whole, was: z.string(), will: z.string() })),
      problems: z.array(z.object({ row: whole, column: whole.nullable(), message: z.string(), text: z.string() })),
    }),
  ),
});
export type ImportPreview = z.infer<typeof previewAnswer>;

const keptFile = z.object({ id: z.string(), name: z.string(), bytes: whole, at: z.string() });

export const exchangeRoutes = {
  imports: route({
    method: 'GET',
    path: '/api/imports',
    summary: 'Files that goods came in with, the last one first',
    answer: z.object({ files: z.array(importFile) }),
  }),
  addImport: route({
    method: 'POST',
    path: '/api/imports',
    summary:
      'Bring a file of up to 30 MB: CSV, TSV, XLSX or JSON; or a ZIP of up to 300 MB with one of them and pictures. Nothing is changed before it is run',
    files: true,
    answer: z.object({ id: z.string() }),
  }),
  importFile: route({
    method: 'GET',
    path: '/api/imports/:id',
    summary: 'A file, how it is read, and what its columns are taken for',
    answer: importAnswer,
  }),
  changeImport: route({
    method: 'PATCH',
    path: '/api/imports/:id',
    summary: 'Change how a file is read, and what is to be done with it',
    body: importChangesSchema,
    answer: importAnswer,
  }),
  dropImport: route({
    method: 'DELETE',
    path: '/api/imports/:id',
    summary: 'Forget a file',
    answer: ok,
  }),
  previewImport: route({
    method: 'POST',
    path: '/api/imports/:id/preview',
    summary: 'What a file would do, product by product and cell by cell',
    body: z.object({
      only: z.enum(plannedStates).nullable().default(null),
      offset: whole.min(0).default(0),
      limit: whole.min(0).max(200).default(50),
    }),
    answer: previewAnswer,
    waits: false,
  }),
  runImport: route({
    method: 'POST',
    path: '/api/imports/:id/run',
    summary: 'Do what a file would do, as one change; rows that are refused are passed over',
    answer: jobSchema,
    waits: false,
  }),
  exports: route({
    method: 'GET',
    path: '/api/exports',
    summary: 'Files that were made in the last week, and what columns one can have',
    answer: z.object({
      files: z.array(keptFile),
      fields: z.array(columnChoice),
      sets: z.array(named.extend({ columns: z.array(z.string()) })).describe('columns that are kept under a name'),
    }),
  }),
  addExport: route({
    method: 'POST',
    path: '/api/exports',
    summary: 'Make a file of goods, which is kept for a week',
    body: z.strictObject({
      which: whichSchema,
      format: z.enum(fileFormats),
      per: z.enum(rowKinds),
      columns: z.array(key).min(1, 'Choose at least one column.').max(MOST_COLUMNS),
      /** of CSV: a mark at the beginning by which spreadsheets know the encoding */
      hasMark: z.boolean().default(true),
      delimiter: z.enum(delimiters).default(','),
    }),
    answer: z.object({
      file: keptFile.nullable().describe('null where it takes longer, and goes on by itself'),
      job: jobSchema.nullable(),
    }),
    waits: false,
  }),
  keepColumns: route({
    method: 'POST',
    path: '/api/exports/columns',
    summary: 'Keep columns under a name, in place of what had the same',
    body: z.strictObject({
      name: keptName,
      columns: z.array(key).min(1, 'Choose at least one column.').max(MOST_COLUMNS),
    }),
    answer: z.object({ id: z.string() }),
  }),
  dropColumns: route({
    method: 'DELETE',
    path: '/api/exports/columns/:id',
    summary: 'Forget columns that were kept under a name',
    answer: ok,
  }),
  keepMapping: route({
    method: 'POST',
    path: '/api/imports/:id/mapping',
    summary: 'Keep under a name how the columns of a file are taken, and what its rows do',
    body: z.strictObject({ name: keptName }),
    answer: z.object({ id: z.string() }),
  }),
  takeMapping: route({
    method: 'PUT',
    path: '/api/imports/:id/mapping',
    summary: 'Take the columns of a file as they were kept under a name; what it does not know stays',
    body: z.strictObject({ mapping: z.string().max(40) }),
    answer: importAnswer,
  }),
  dropMapping: route({
    method: 'DELETE',
    path: '/api/mappings/:id',
    summary: 'Forget a mapping',
    answer: ok,
  }),
};
