import { z } from 'zod';
import { formatMoney } from '../shared/money';
import { type Product, type Variant } from '../model/product';
import { moneySchema } from '../model/product-values';
import { taxRateOf } from '../pricing/tax';
import { lessPercent } from '../pricing/price';
import type { BulkSources, Planner } from './plan';
import { roundedPrice, roundingSchema, type Rounding } from './price-rounding';

const percent = (lowest: number, highest: number) =>
  z
    .number({ error: 'Type a percentage.' })
    .int('At most two decimals.')
    .min(lowest, `At least ${lowest / 100} %.`)
    .max(highest, `At most ${highest / 100} %.`);

/** basis points above cost below which no price may fall; null for no floor */
const floorSchema = percent(0, 100_000).nullable();

export const priceWorkSchema = z.strictObject({
  do: z.literal('price'),
  by: z.discriminatedUnion('how', [
    /** basis points more, or less below zero */
    z.strictObject({ how: z.literal('percent'), more: percent(-9_900, 100_000) }),
    z.strictObject({
      how: z.literal('amount'),
      more: z.number({ error: 'Type an amount.' }).int('At most two decimals.').min(-1_000_000_000).max(1_000_000_000),
    }),
    z.strictObject({ how: z.literal('set'), amount: moneySchema }),
    /** from cost: the share of the price without tax, or of the cost, that is earned; basis points */
    z.strictObject({ how: z.literal('margin'), share: percent(0, 9_900) }),
    z.strictObject({ how: z.literal('markUp'), share: percent(0, 1_000_000) }),
  ]),
  rounding: roundingSchema.nullable(),
  floor: floorSchema,
});
export type PriceWork = z.infer<typeof priceWorkSchema>;

export const saleSchema = z.strictObject({
  do: z.literal('sale'),
  /** basis points off the price; null ends the sale */
  off: percent(1, 9_500).nullable(),
  from: z.iso.datetime({ error: 'Choose a day and a time.' }).nullable(),
  until: z.iso.datetime({ error: 'Choose a day and a time.' }).nullable(),
  rounding: roundingSchema.nullable(),
  floor: floorSchema,
});
export type SaleWork = z.infer<typeof saleSchema>;

/** The price at which `cost` is exceeded by `floor` basis points, tax included where prices include it; rounded up. */
function floorPrice(cost: number, floor: number, taxRate: number, taxIncluded: boolean): number {
  const net = (cost * (10_000 + floor)) / 10_000;
  // Less a hair: 110 % of 100 must not become 110.00000001 and be rounded up.
  return Math.ceil(net * (taxIncluded ? (10_000 + taxRate) / 10_000 : 1) - 1e-6);
}

/** Price from cost, before rounding; undefined without a cost. */
function fromCost(cost: number | null, by: PriceWork['by'], taxRate: number, taxIncluded: boolean): number | undefined {
  if (cost === null) return undefined;
  const share = by.how === 'margin' || by.how === 'markUp' ? by.share : 0;
  const net = by.how === 'margin' ? (cost * 10_000) / (10_000 - share) : (cost * (10_000 + share)) / 10_000;
  return Math.round(taxIncluded ? (net * (10_000 + taxRate)) / 10_000 : net);
}

/** A price with its ending, held at the floor: the first of that ending that is not below. */
function held(
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
  const lowest = floorPrice(variant.cost, floor, taxRateOf(settings, product.taxClass), settings.taxIncluded);
  if (ended >= lowest) return { price: ended, note: undefined };
  return { price: rounding ? roundedPrice(lowest, { ...rounding, way: 'up' }) : lowest, note: 'held at the floor' };
}

/** Why prices of a product cannot be worked on. */
function refusal(product: Product): string | undefined {
  if (product.bundle?.pricing.how === 'parts') return 'its price follows from its parts';
  return product.kind === 'giftCard' ? 'a gift card costs what it is worth' : undefined;
}

const isSame = (a: Variant, b: Variant) => a.price === b.price && a.salePrice === b.salePrice;

/** The product with these variants, or itself when none is another. */
const withVariants = (product: Product, variants: Variant[]): Product =>
  variants.every((variant, i) => isSame(variant, product.variants[i]!)) ? product : { ...product, variants };

export const planPrices: Planner<PriceWork> = (product, { by, rounding, floor }, sources) => {
  const refused = refusal(product);
  if (refused) return { problem: refused };
  const { settings } = sources;
  const taxRate = taxRateOf(settings, product.taxClass);
  const notes = new Set<string>();
  const variants: Variant[] = [];
  for (const variant of product.variants) {
    const wanted =
      by.how === 'percent'
        ? lessPercent(variant.price, -by.more)
        : by.how === 'amount'
          ? variant.price + by.more
          : by.how === 'set'
            ? by.amount
            : fromCost(variant.cost, by, taxRate, settings.taxIncluded);
    if (wanted === undefined) return { problem: 'its cost is not known' };
    if (wanted < 0) return { problem: 'it would cost less than nothing' };
    const { price, note } = held(wanted, variant, rounding, floor, product, sources);
    if (note) notes.add(note);
    if (variant.salePrice !== null && variant.salePrice >= price)
      return { problem: `its sale price of ${formatMoney(variant.salePrice, settings.currency)} would not be below` };
    if (price > 1_000_000_000) return { problem: 'it would cost more than Dispona can hold' };
    variants.push({ ...variant, price });
  }
  return { after: withVariants(product, variants), notes: [...notes] };
};

export const planSale: Planner<SaleWork> = (product, { off, from, until, rounding, floor }, sources) => {
  const refused = refusal(product);
  if (refused) return { problem: refused };
  const notes = new Set<string>();
  const variants: Variant[] = [];
  for (const variant of product.variants) {
    if (off === null) {
      variants.push({ ...variant, salePrice: null });
      continue;
    }
    const { price, note } = held(lessPercent(variant.price, off), variant, rounding, floor, product, sources);
    if (note) notes.add(note);
    if (price >= variant.price)
      return { problem: note ? 'the floor leaves nothing to reduce' : 'the reduction would round to nothing' };
    variants.push({ ...variant, salePrice: price });
  }
  const [saleFrom, saleUntil] = off === null ? [null, null] : [from, until];
  const priced = withVariants(product, variants);
  const isSameTime = product.saleFrom === saleFrom && product.saleUntil === saleUntil;
  return { after: isSameTime ? priced : { ...priced, saleFrom, saleUntil }, notes: [...notes] };
};
