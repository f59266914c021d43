import type { Product, Variant } from '../model/product';
import type { RowKind } from './choices';
import type { Cell, ExchangeColumn, WriteTerms } from './column';

/**
 * The rows of some goods: one for each variant, or one for each product with what its first variant has. What is of the product
 * stands in each of its rows, so that they can be sorted in any way.
 */
export function* rowsOfGoods(
  products: Iterable<Product>,
  columns: readonly ExchangeColumn[],
  per: RowKind,
  terms: WriteTerms,
): Generator<Cell[]> {
  for (const product of products) {
    const variants: (Variant | undefined)[] = per === 'products' ? product.variants.slice(0, 1) : product.variants;
    for (const variant of variants) yield columns.map((column) => column.write(product, variant, terms));
  }
}
