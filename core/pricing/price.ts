/** What a variant costs now and, when it is reduced, what it cost before; in minor units. */
export interface EffectivePrice {
  price: number;
  wasPrice: number | null;
}

/** The price that a shopper pays for a variant. A sale price counts only when it is below the price. */
export function effectivePrice(variant: { price: number; salePrice: number | null }): EffectivePrice {
  return variant.salePrice !== null && variant.salePrice < variant.price
    ? { price: variant.salePrice, wasPrice: variant.price }
    : { price: variant.price, wasPrice: null };
}

/** What is wrong with a sale price, in plain words; undefined when it can be saved. */
export function refuseSalePrice(price: number, salePrice: number | null): string | undefined {
  return salePrice !== null && salePrice >= price ? 'The sale price must be below the price.' : undefined;
}

/**
 * Margin in basis points of the price without tax, rounded half away from zero; null without a cost or a price.
 * `taxRate` is in basis points and is contained in the price when `taxIncluded`.
 */
export function marginOf(price: number, cost: number | null, taxRate: number, taxIncluded: boolean): number | null {
  if (cost === null || price === 0) return null;
  const net = taxIncluded ? (price * 10_000) / (10_000 + taxRate) : price;
  const margin = ((net - cost) / net) * 10_000;
  return Math.sign(margin) * Math.round(Math.abs(margin));
}
