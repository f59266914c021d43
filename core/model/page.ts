import { z } from 'zod';
import { idSchema, slugSchema } from '../shared/identity';
import { sectionBodySchema } from './sections/sections';

export const pageSchema = z.object({
  id: idSchema,
  title: z.string(),
  slug: slugSchema,
  /** the home page stands at "/" and cannot be deleted */
  home: z.boolean(),
  sections: z.array(z.intersection(sectionBodySchema, z.object({ id: idSchema }))),
});
export type Page = z.infer<typeof pageSchema>;
