import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { moneySchema } from './product-values';

const percentOff = z
  .number({ error: 'Type a percentage.' })
  .int('At most two decimals.')
  .min(1, 'The reduction must be above zero.')
  .max(10_000, 'At most 100 %.');
const pieces = (fewest: number) =>
  z
    .number({ error: 'Type a whole number.' })
    .int('Type a whole number.')
    .min(fewest, fewest === 1 ? 'At least one piece.' : `At least ${fewest} pieces.`)
    .max(999, 'At most 999 pieces.');
const someMoney = moneySchema.min(1, 'The amount must be above zero.');

const ladderStep = z.strictObject({ from: pieces(2), off: percentOff });

/**
 * All that an offer can do. Percentages in basis points, money in minor units. docs/adding.md says what a new one needs:
 * core/pricing/offer-actions computes it, desk/features/prices/offer-fields.tsx edits it.
 */
const offerActionShapes = {
  percent: z.strictObject({ does: z.literal('percent'), off: percentOff }),
  amount: z.strictObject({ does: z.literal('amount'), off: someMoney, per: z.enum(['piece', 'order']) }),
  price: z.strictObject({ does: z.literal('price'), price: someMoney }),
  costPlus: z.strictObject({
    does: z.literal('costPlus'),
    plus: z
      .number({ error: 'Type a percentage.' })
      .int('At most two decimals.')
      .min(0, 'At least 0 %.')
      .max(100_000, 'At most 1,000 %.'),
  }),
  /** of each `of` pieces, the cheapest or dearest one costs so much less */
  oneOf: z.strictObject({
    does: z.literal('oneOf'),
    of: pieces(2),
    which: z.enum(['cheapest', 'dearest']),
    off: percentOff,
  }),
  nForM: z
    .strictObject({ does: z.literal('nForM'), take: pieces(2), pay: pieces(1) })
    .refine(({ take, pay }) => pay < take, { error: 'Shoppers must pay for fewer than they take.', path: ['pay'] }),
  /** each so many pieces together cost one price */
  setPrice: z.strictObject({ does: z.literal('setPrice'), pieces: pieces(2), price: someMoney }),
  ladder: z.strictObject({
    does: z.literal('ladder'),
    steps: z
      .array(ladderStep)
      .min(1, 'A ladder needs a step.')
      .max(8, 'At most eight steps.')
      .superRefine((steps, context) => {
        steps.forEach((step, at) => {
          const before = steps[at - 1];
          if (!before) return;
          if (step.from <= before.from)
            context.addIssue({ code: 'custom', path: [at, 'from'], message: `This must begin above ${before.from}.` });
          if (step.off <= before.off)
            context.addIssue({ code: 'custom', path: [at, 'off'], message: 'More pieces must cost less.' });
        });
      }),
  }),
  gift: z.strictObject({ does: z.literal('gift'), productId: idSchema, variantId: idSchema }),
  freeDelivery: z.strictObject({ does: z.literal('freeDelivery') }),
} as const;

export type OfferActionKind = keyof typeof offerActionShapes;
export type OfferActionOf<K extends OfferActionKind> = z.infer<(typeof offerActionShapes)[K]>;
export type OfferAction = { [K in OfferActionKind]: OfferActionOf<K> }[OfferActionKind];

const [first, ...rest] = Object.values(offerActionShapes);
export const offerActionSchema = z.discriminatedUnion('does', [first!, ...rest]) as unknown as z.ZodType<OfferAction>;
