import { z } from 'zod';
import { linkSchema } from './target';

/** Searches that lead to a page at once, without a list of goods between. */
export const searchesSchema = z.object({
  leads: z
    .array(
      z.strictObject({
        locale: z.string().max(35),
        /** folded, as they are counted */
        words: z.string().min(1).max(60, 'At most 60 characters.'),
        to: linkSchema,
      }),
    )
    .max(500, 'At most 500 searches can lead to a page.'),
});
export type Searches = z.infer<typeof searchesSchema>;

export const noSearches: Searches = { leads: [] };
