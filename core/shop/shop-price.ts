import type { ProductDocument } from '../model/document';
import type { EffectivePrice } from '../pricing/price';
import type { Shop } from './shop';

/** A price that was asked in the 30 days before is the most that shoppers are told it was. */
function honest(shop: Shop, variantId: string, { price, wasPrice }: EffectivePrice): EffectivePrice {
  if (wasPrice === null) return { price, wasPrice };
  const was = Math.min(wasPrice, shop.inputs.lowestBefore?.(variantId) ?? wasPrice);
  return { price, wasPrice: was > price ? was : null };
}

/** What one piece costs now; of a bundle priced by its parts, the least it can come to. */
export function shopPrice(
  shop: Shop,
  product: ProductDocument,
  variant: ProductDocument['variants'][number],
): EffectivePrice {
  const price = shop.bundles.get(product.id)?.price;
  return price ? { price: price.low, wasPrice: null } : honest(shop, variant.id, shop.price(product, variant));
}

/** Pieces left of a variant, or how often a bundle can be made; null when there is no end. */
export function shopStock(shop: Shop, product: ProductDocument, variantId: string): number | null {
  const facts = shop.bundles.get(product.id);
  if (!facts) return shop.stock(variantId);
  return Number.isFinite(facts.stock) ? facts.stock : null;
}
