import { z } from 'zod';
import { MOST_PLACED } from '../core/model/group-fields';

/**
 * What stood in the fields when the caller began to change them. Lists that others changed meanwhile are merged; where both
 * changed the same thing, the write is refused and told as a clash. Fields that are not named here are written over. What
 * was typed and saved before counts as it was saved, without spaces around it: each value is read as the field itself is.
 */
export const wasOf = (fields: Readonly<Record<string, z.ZodType>>) =>
  z
    .record(z.string().max(40), z.unknown())
    .refine(
      (stood) => Object.values(stood).every((value) => !Array.isArray(value) || value.length <= MOST_PLACED),
      `Lists can have at most ${MOST_PLACED} items.`,
    )
    .transform((stood) =>
      Object.fromEntries(
        Object.entries(stood).map(([name, value]) => {
          const read = fields[name]?.safeParse(value);
          return [name, read?.success ? read.data : value];
        }),
      ),
    )
    .optional();
export type Was = Record<string, unknown> | undefined;
