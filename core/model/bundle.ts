import { z } from 'zod';
import { ruleSchema } from './rule';
import { idSchema } from '../shared/identity';
import { translatable } from './translatable';

export const MAX_SLOTS = 8;
const MOST_PIECES = 99;

const pieces = z.number({ error: 'Type a whole number.' }).int('Type a whole number.').max(MOST_PIECES, 'At most 99.');

/** One place of a bundle: which products may stand in it, and how many pieces are taken. */
const slotSchema = z.strictObject({
  id: idSchema,
  label: translatable(
    z.string().trim().min(1, 'Each slot needs a name.').max(80, 'At most 80 characters.'),
    'name of a part',
  ),
  from: z.discriminatedUnion('how', [
    z.strictObject({ how: z.literal('picked'), ids: z.array(idSchema).max(60, 'At most 60 products in a slot.') }),
    z.strictObject({ how: z.literal('rule'), rule: ruleSchema }),
  ]),
  /** fewest and most pieces; a slot with a fewest of 0 may stay empty */
  min: pieces.min(0, 'The fewest cannot be below zero.'),
  max: pieces.min(1, 'At least one piece must be allowed.'),
  /** the product that is chosen to begin with */
  usual: idSchema.nullable(),
});
export type Slot = z.infer<typeof slotSchema>;

export const bundleSchema = z.strictObject({
  slots: z.array(slotSchema).max(MAX_SLOTS, `A bundle can have at most ${MAX_SLOTS} slots.`),
  /** fixed: the price of the bundle itself; parts: the sum of its parts less `off` basis points */
  pricing: z.discriminatedUnion('how', [
    z.strictObject({ how: z.literal('fixed') }),
    z.strictObject({
      how: z.literal('parts'),
      off: z
        .number({ error: 'Type a percentage.' })
        .int('At most two decimals.')
        .min(0, 'The reduction cannot be below zero.')
        .max(9_500, 'At most 95 % off.'),
    }),
  ]),
});
export type Bundle = z.infer<typeof bundleSchema>;

export const EMPTY_BUNDLE: Bundle = { slots: [], pricing: { how: 'fixed' } };

/** What does not fit together in a bundle, by the place of its slot; undefined when all does. */
export function bundleProblem({ slots }: Bundle): { at: number; message: string } | undefined {
  for (const [at, { label, from, min, max, usual }] of slots.entries()) {
    if (max < min) return { at, message: `${label}: the most cannot be below the fewest.` };
    if (usual !== null && from.how === 'picked' && !from.ids.includes(usual))
      return { at, message: `${label}: what is chosen to begin with must be one of its products.` };
  }
  return undefined;
}

/** Ids of the products that a bundle names one by one. */
export const pickedParts = (bundle: Bundle | null): string[] =>
  (bundle?.slots ?? []).flatMap(({ from }) => (from.how === 'picked' ? from.ids : []));
