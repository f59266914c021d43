import type { StockRow } from '../store/products';

/**
 * Pieces left of every variant, those included that only an edition still knows. Null stands for a variant that is not
 * counted; one without an entry is gone for good, and there is none of it.
 */
export class StockLevels {
  readonly #counts = new Map<string, number | null>();
  /** by product, its variants that have an entry */
  readonly #variantsOf = new Map<string, readonly string[]>();

  constructor(rows: Iterable<StockRow>) {
    const variants = new Map<string, string[]>();
    for (const { variantId, productId, count } of rows) {
      this.#counts.set(variantId, count);
      const known = variants.get(productId);
      if (known) known.push(variantId);
      else variants.set(productId, [variantId]);
    }
    this.#variantsOf = variants;
  }

  get(variantId: string): number | null {
    const count = this.#counts.get(variantId);
    return count === undefined ? 0 : count;
  }

  /** Makes these all entries of a product. Answers whether anything is other than before. */
  replace(productId: string, rows: readonly StockRow[]): boolean {
    const before = this.#variantsOf.get(productId) ?? [];
    const next = new Map(rows.map(({ variantId, count }) => [variantId, count]));
    let isOther = before.length !== next.size;
    for (const variantId of before) if (!next.has(variantId)) this.#counts.delete(variantId);
    for (const [variantId, count] of next) {
      isOther ||= this.#counts.get(variantId) !== count;
      this.#counts.set(variantId, count);
    }
    if (next.size > 0) this.#variantsOf.set(productId, [...next.keys()]);
    else this.#variantsOf.delete(productId);
    return isOther;
  }
}
