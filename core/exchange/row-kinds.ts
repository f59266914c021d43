/** What a row of a file is about. */
export const rowKinds = ['variants', 'products'] as const;
export type RowKind = (typeof rowKinds)[number];
