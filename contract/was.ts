import { z } from 'zod';
import { MOST_PLACED } from '../core/catalog/group';

/**
 * What stood in the fields when the caller began to change them. Lists that others changed meanwhile are merged; where both
 * changed the same thing, the write is refused and told as a clash. Fields that are not named here are written over.
 */
export const was = z
  .record(z.string().max(40), z.unknown())
  .refine(
    (fields) => Object.values(fields).every((value) => !Array.isArray(value) || value.length <= MOST_PLACED),
    `Lists can have at most ${MOST_PLACED} items.`,
  )
  .optional();
export type Was = z.infer<typeof was>;
