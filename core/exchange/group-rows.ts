import type { Product, Variant } from '../model/product';
import type { Matching } from './choices';
import { nameIdentity } from '../shared/same-name';

/** A table as a file holds it: all cells as text. */
export interface FileTable {
  head: readonly string[];
  rows: readonly (readonly string[])[];
}

/** A product of the shop that a row speaks of, and its variant where the row tells which. */
export interface Found {
  product: Product;
  variant?: Variant;
}

/** Finds what a row speaks of; 'several' where more than one thing of the shop has this. */
export type Find = (by: Matching, text: string) => Found | 'several' | undefined;

/** The rows of one product. */
export interface RowGroup {
  rows: number[];
  /** as it is in the shop; absent where it is new */
  product?: Product;
  /** variants that rows were found by */
  variants: Map<number, Variant>;
  /** why the rows cannot be taken for a product */
  problem?: string;
}

interface Terms {
  /** the text of a cell, by the key of its column; '' where there is none */
  cell: (row: number, key: string) => string;
  /** by what a row is to be found in the shop */
  wanted: (row: number) => string;
  find: Find;
  match: Matching;
  /** rows tell of which product they are: there is a column of titles or addresses */
  tellsProducts: boolean;
  isLeftOut: (row: number) => boolean;
}

/** Rows that are looked at before others may be served. */
const AT_ONCE = 200;

/**
 * Puts the rows of each product together, in the order of the file: by what they are found by in the shop, by their address, by
 * their title, or because a row without either stands below. O(rows). It stops now and then, so that others can be served between.
 */
export function* groupRows(
  { rows }: FileTable,
  { cell, wanted: wantedOf, find, match, tellsProducts, isLeftOut }: Terms,
): Generator<undefined, RowGroup[]> {
  const groups: RowGroup[] = [];
  const byProduct = new Map<string, RowGroup>();
  const byText = new Map<string, RowGroup>();
  let above: RowGroup | undefined;
  for (let row = 0; row < rows.length; row++) {
    if (row % AT_ONCE === 0) yield undefined;
    if (isLeftOut(row)) continue;
    const [slug, title, wanted] = [cell(row, 'slug'), cell(row, 'title'), wantedOf(row)];
    const met = wanted === '' ? undefined : find(match, wanted);
    const found = met === 'several' ? undefined : met;
    const text = slug ? `s ${slug}` : title ? `t ${nameIdentity(title)}` : '';
    let group = (found && byProduct.get(found.product.id)) ?? byText.get(text);
    // Rows of one text that were found in two products are two products.
    if (group && found && group.product && group.product.id !== found.product.id) group = undefined;
    if (met === 'several') group = undefined;
    else if (!group && !found && text === '' && tellsProducts && !above?.problem) group = above;
    if (!group) {
      group = { rows: [], variants: new Map() };
      groups.push(group);
      if (met === 'several')
        group.problem = `Several goods of the shop have “${wanted}”: it does not tell which is meant.`;
      else if (!found && text === '')
        group.problem =
          wanted === ''
            ? 'This row tells no title.'
            : `Nothing in the shop has “${wanted}”, and the row tells no title.`;
    }
    if (found) {
      group.product ??= found.product;
      delete group.problem;
      byProduct.set(found.product.id, group);
      if (found.variant) group.variants.set(row, found.variant);
    }
    if (text !== '' && !byText.has(text)) byText.set(text, group);
    group.rows.push(row);
    above = group;
  }
  // Who was not found by the number that was asked for may still be known by its address.
  for (const group of groups)
    if (!group.product && !group.problem) {
      const slug = cell(group.rows[0]!, 'slug');
      const known = slug === '' ? undefined : find('slug', slug);
      if (known && known !== 'several' && !byProduct.has(known.product.id)) group.product = known.product;
    }
  return groups;
}
