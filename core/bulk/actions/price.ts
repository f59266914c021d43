import { z } from 'zod';
import { formatMoney } from '../../shared/money';
import { type Variant } from '../../model/product';
import { moneySchema } from '../../model/product-values';
import { lessPercent } from '../../pricing/price';
import { taxRateOf } from '../../pricing/tax';
import { bulkAction } from '../bulk-action';
import { floorSchema, held, percent, refusal, withVariants } from '../price-floor';
import { roundingSchema } from '../../model/rounding';

const schema = z.strictObject({
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
export type PriceWork = z.infer<typeof schema>;

/** Price from cost, before rounding; undefined without a cost. */
function fromCost(cost: number | null, by: PriceWork['by'], taxRate: number, taxIncluded: boolean): number | undefined {
  if (cost === null) return undefined;
  const share = by.how === 'margin' || by.how === 'markUp' ? by.share : 0;
  const net = by.how === 'margin' ? (cost * 10_000) / (10_000 - share) : (cost * (10_000 + share)) / 10_000;
  return Math.round(taxIncluded ? (net * (10_000 + taxRate)) / 10_000 : net);
}

const percents = (points: number) => `${Math.abs(points) / 100} %`;

export const price = bulkAction({
  name: 'Prices',
  schema,
  plan: (product, { by, rounding, floor }, sources) => {
    const refused = refusal(product);
    if (refused) return { problem: refused };
    const { settings } = sources;
    const taxRate = taxRateOf(settings, product.taxClass, sources.now);
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
  },
  label: ({ by }, products) => {
    if (by.how === 'percent')
      return `${by.more < 0 ? 'Lowered' : 'Raised'} prices of ${products} by ${percents(by.more)}`;
    if (by.how === 'margin') return `Set prices of ${products} for a margin of ${percents(by.share)}`;
    if (by.how === 'markUp') return `Set prices of ${products} to cost plus ${percents(by.share)}`;
    return `Changed prices of ${products}`;
  },
});
