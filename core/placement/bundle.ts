import type { Slot } from '../catalog/bundle';
import type { ProductDocument } from '../editions/document';
import { bundlePrice, bundleStock, type BundlePart } from '../pricing/bundle';
import { effectivePrice, type EffectivePrice } from '../pricing/price';
import type { ProductFacts } from '../rules/facts';
import { membersOf } from '../rules/members';
import { conditionsOf } from '../rules/rule';
import type { ResolvedShop } from './resolved-shop';

/** Most products of one slot; a rule may take in more, but nobody could choose among them. */
export const MOST_PARTS = 60;

/** What follows for a bundle from its parts, at one moment. */
export interface BundleFacts {
  /** what it can cost, minor units; null when its price is fixed */
  price: { low: number; high: number } | null;
  stock: number;
  /** places of the slots that run out first */
  scarce: readonly number[];
  slots: readonly { slot: Slot; products: readonly ProductDocument[] }[];
}

/** A product as it may stand in a bundle: on the shop, with a told price, and no bundle itself. */
function isPart(product: ProductDocument | undefined, facts: ProductFacts | undefined): product is ProductDocument {
  return (
    product !== undefined && product.kind !== 'bundle' && !product.priceOnRequest && facts!.standing.includes('live')
  );
}

/** The products that may stand in a slot, in the order in which they are offered. */
function productsOf(shop: ResolvedShop, { from }: Slot): ProductDocument[] {
  const { index } = shop;
  const ids =
    from.how === 'picked'
      ? from.ids
      : index
          .orderedSlots(membersOf(from.rule, index, shop.fields, shop.now), 'featured')
          .map((slot) => index.id(slot));
  return ids
    .map((id) => shop.products.get(id))
    .filter((product): product is ProductDocument => isPart(product, product && shop.facts(product.id)))
    .slice(0, MOST_PARTS);
}

function partOf({ id, variants, stock }: ProductFacts): BundlePart {
  const there = variants.filter((variant) => variant.stock > 0);
  const prices = (there.length > 0 ? there : variants).map(({ price }) => price);
  return { id, low: Math.min(...prices), high: Math.max(...prices), stock };
}

/** Works out what a bundle can cost, how often it can be made, and from what. Costs what its rules cost. */
export function bundleFacts(shop: ResolvedShop, { bundle }: ProductDocument): BundleFacts {
  const slots = (bundle?.slots ?? []).map((slot) => ({ slot, products: productsOf(shop, slot) }));
  const parts = slots.map(({ slot, products }) => ({
    min: slot.min,
    max: slot.max,
    parts: products.map(({ id }) => partOf(shop.facts(id)!)),
  }));
  const pricing = bundle?.pricing ?? { how: 'fixed' };
  return {
    price: pricing.how === 'parts' ? bundlePrice(parts, pricing.off) : null,
    ...(slots.length === 0 ? { stock: 0, scarce: [] } : bundleStock(parts)),
    slots,
  };
}

/** True when what is in the bundle can change by time alone. */
export const speaksOfTime = ({ bundle }: ProductDocument): boolean =>
  (bundle?.slots ?? []).some(
    ({ from }) => from.how === 'rule' && conditionsOf(from.rule).some(({ condition }) => condition.is === 'inLast'),
  );

/** What one piece costs now; of a bundle priced by its parts, the least it can come to. */
export function shopPrice(
  shop: ResolvedShop,
  product: ProductDocument,
  variant: ProductDocument['variants'][number],
): EffectivePrice {
  const price = shop.bundle(product.id)?.price;
  return price ? { price: price.low, wasPrice: null } : effectivePrice(product, variant, shop.now);
}

/** Pieces left of a variant, or how often a bundle can be made; null when there is no end. */
export function shopStock(shop: ResolvedShop, product: ProductDocument, variantId: string): number | null {
  const facts = shop.bundle(product.id);
  if (!facts) return shop.stock(variantId);
  return Number.isFinite(facts.stock) ? facts.stock : null;
}
