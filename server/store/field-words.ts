import { fieldWords } from '../../core/model/fields';
import { productFields, relationFields } from '../../core/model/product-fields';
import { variantFields } from '../../core/model/variant-fields';
import { plainVariantColumns, productColumns } from './products';

/** Fields of a product in words, as labels of changes and the history tell them. */
export const productWords = { ...fieldWords(productFields), ...fieldWords(relationFields) };
export const variantWords = fieldWords(variantFields);

/** Column of each field of a variant; its stock stands in a table of its own. */
export const variantColumn = (name: keyof typeof variantWords): string =>
  name === 'stock' ? 'count' : plainVariantColumns[name].column;

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

const wordsOf = (columns: Record<string, { column: string }>, words: Record<string, string>) =>
  Object.fromEntries(Object.entries(columns).map(([name, { column }]) => [column, capital(words[name]!)]));

/** Columns of products, variants, stock, options and pictures in words, for the history. */
export const columnWords: Readonly<Record<string, string>> = {
  ...wordsOf(productColumns, productWords),
  ...wordsOf(plainVariantColumns, variantWords),
  // Stock stands in a table of its own.
  count: capital(variantWords.stock),
  parent_id: 'Inside',
  source: 'Filled',
  rule: 'Rule',
  sort: 'Order',
  text: 'Text',
  pins: 'Pinned',
  left_out: 'Left out',
  listed: 'A page of its own',
  picture: 'Picture',
  fewest: 'Smallest size',
  most: 'Largest size',
  alt: 'Alt text',
  fit: 'Fills or fits',
  name: 'Name',
};

/** Columns whose content means nothing to a reader: only that they changed is told. */
export const opaqueColumns: ReadonlySet<string> = new Set([
  ...Object.values(productColumns).flatMap(({ column, as }) => (as === 'json' ? [column] : [])),
  'brand_id',
  'spec_sheet_id',
  'picture_id',
  'picture',
]);
