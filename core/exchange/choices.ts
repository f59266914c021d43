/** By what rows are found again in the shop. */
export const matchings = ['sku', 'barcode', 'slug', 'title'] as const;
/** A usual number, or a column of the file by its place: by whatever that column fills. */
export type Matching = (typeof matchings)[number] | `column:${number}`;

/** The place of the column that rows are found by; undefined where that is a usual number. */
export const columnPlaceOf = (match: Matching): number | undefined =>
  match.startsWith('column:') ? Number(match.slice('column:'.length)) : undefined;

/** What rows are to do. */
export const importWays = ['both', 'add', 'update', 'delete'] as const;
export type ImportWay = (typeof importWays)[number];

/** What a row of a file is about. */
export const rowKinds = ['variants', 'products'] as const;
export type RowKind = (typeof rowKinds)[number];

/** What can stand between the cells of a text. */
export const delimiters = [',', ';', '\t', '|'] as const;
export type Delimiter = (typeof delimiters)[number];

/** Stands for a column that becomes a field of the product’s own. */
export const OWN_FIELD = 'own field';

/** What a seller chose for a file. */
export interface ImportChoices {
  /** for each column of the file the key of what it fills; null for nothing */
  columns: readonly (string | null)[];
  /** columns that rows are found by, but whose values change nothing */
  columnsOff: readonly number[];
  match: Matching;
  way: ImportWay;
  /** the first row of the file tells what the columns are */
  hasHead: boolean;
  leftOut: readonly number[];
  /** cells that were mended here, by "row:column" */
  mended: Readonly<Record<string, string>>;
}
