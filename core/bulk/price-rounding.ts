import { z } from 'zod';

/** Prices that end alike: multiples of `step` plus `ending`, minor units, such as x.90 with a step of 100 and an ending of 90. */
export const roundingSchema = z
  .strictObject({
    step: z.number().int().min(1).max(1_000_000),
    ending: z.number().int().min(0),
    way: z.enum(['nearest', 'up', 'down']),
  })
  .refine(({ step, ending }) => ending < step, { error: 'The ending must be below the step.', path: ['ending'] });
export type Rounding = z.infer<typeof roundingSchema>;

/**
 * The price of that ending that lies nearest to `price` (half way: the higher), or next above or below it. Never below
 * the lowest price of that ending that is above zero.
 */
export function roundedPrice(price: number, { step, ending, way }: Rounding): number {
  const places = (price - ending) / step;
  const place = way === 'up' ? Math.ceil(places) : way === 'down' ? Math.floor(places) : Math.floor(places + 0.5);
  return Math.max(place, ending === 0 ? 1 : 0) * step + ending;
}
