import { z } from 'zod';
import { type Variant } from '../../model/product';
import { lessPercent } from '../../pricing/price';
import { bulkAction } from '../bulk-action';
import { floorSchema, held, percent, refusal, withVariants } from '../price-floor';
import { roundingSchema } from '../../model/rounding';

const schema = z.strictObject({
  do: z.literal('sale'),
  /** basis points off the price; null ends the sale */
  off: percent(1, 9_500).nullable(),
  from: z.iso.datetime({ error: 'Choose a day and a time.' }).nullable(),
  until: z.iso.datetime({ error: 'Choose a day and a time.' }).nullable(),
  rounding: roundingSchema.nullable(),
  floor: floorSchema,
});
export type SaleWork = z.infer<typeof schema>;

export const sale = bulkAction({
  name: 'Sale',
  schema,
  plan: (product, { off, from, until, rounding, floor }, sources) => {
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
  },
  label: ({ off }, products) =>
    off === null ? `Ended the sale of ${products}` : `Reduced ${products} by ${Math.abs(off) / 100} %`,
});
