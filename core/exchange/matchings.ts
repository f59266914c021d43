/** By what rows are found again in the shop. */
export const matchings = ['sku', 'barcode', 'slug', 'title'] as const;
export type Matching = (typeof matchings)[number];
