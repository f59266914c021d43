import { z } from 'zod';

/**
 * What stood in the fields when the caller began to change them. Lists that others changed meanwhile are merged; where both
 * changed the same thing, the write is refused and told as a clash. Fields that are not named here are written over.
 */
export const was = z.record(z.string().max(40), z.unknown()).optional();
export type Was = z.infer<typeof was>;
