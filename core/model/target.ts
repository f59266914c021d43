import { z } from 'zod';
import { idSchema } from '../shared/identity';

/** Something of the shop that a link can lead to. */
export const targetSchema = z.object({
  kind: z.enum(['category', 'collection', 'brand', 'tag', 'page']),
  id: idSchema,
});
export type Target = z.infer<typeof targetSchema>;
