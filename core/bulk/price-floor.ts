import { z } from 'zod';
import { type Product, type Variant } from '../model/product';
import { taxRateOf } from '../pricing/tax';
import type { BulkSources } from './plan';
import { floorPrice } from '../pricing/price-floor';
import { roundedPrice } from '../pricing/rounded-price';
import type { Rounding } from '../model/rounding';

/** Basis points between two bounds. */
export const percent = (lowest: number, highest: number) =>
  z
    .number({ error: 'Type a percentage.' })
    .int('At most two decimals.')
    .min(lowest, `At least ${lowest / 100} %.`)
    .max(highest, `At most ${highest / 100} %.`);

/** Basis points above cost below which no price may fall; null for no floor */
export const floorSchema = percent(0, 100_000).nullable();

/** A price with its ending, held at the floor: the first of that ending that is not below. */
export function held(
  price: number,
  variant: Variant,
  rounding: Rounding | null,
  floor: number | null,
  product: Product,
  sources: BulkSources,
) {
  const ended = Math.max(0, rounding ? roundedPrice(price, rounding) : price);
  if (floor === null) return { price: ended, note: undefined };
  if (variant.cost === null) return { price: ended, note: 'cost not known, so no floor' };
  const { settings } = sources;
  const lowest = floorPrice(
    variant.cost,
    floor,
    taxRateOf(settings, product.taxClass, sources.now),
    settings.taxIncluded,
  );
  if (ended >= lowest) return { price: ended, note: undefined };
  return { price: rounding ? roundedPrice(lowest, { ...rounding, way: 'up' }) : lowest, note: 'held at the floor' };
}

/** Why prices of a product cannot be worked on. */
export function refusal(product: Product): string | undefined {
  if (product.bundle?.pricing.how === 'parts') return 'its price follows from its parts';
  return product.kind === 'giftCard' ? 'a gift card costs what it is worth' : undefined;
}

const isSame = (a: Variant, b: Variant) => a.price === b.price && a.salePrice === b.salePrice;

/** The product with these variants, or itself when none is another. */
export const withVariants = (product: Product, variants: Variant[]): Product =>
  variants.every((variant, i) => isSame(variant, product.variants[i]!)) ? product : { ...product, variants };
