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
