/** By what rows are found again in the shop. */
export const matchings = ['sku', 'barcode', 'slug', 'title'] as const;
export type Matching = (typeof matchings)[number];

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
