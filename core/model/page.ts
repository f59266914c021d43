import { z } from 'zod';
import { idSchema, slugSchema } from '../shared/identity';
import { targetSchema } from './target';

const sectionTitle = z.string().trim().max(120, 'A title can have at most 120 characters.');

export const MAX_STRIP = 24;

export const sectionBodySchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('banner'),
    title: sectionTitle.min(1, 'A banner needs a title.'),
    text: z.string().trim().max(400, 'A banner can have at most 400 characters.'),
    link: targetSchema.nullable(),
  }),
  z.object({
    kind: z.literal('strip'),
    /** empty: the name of what it shows */
    title: sectionTitle,
    source: z.object({ kind: z.enum(['category', 'collection', 'brand', 'tag']), id: idSchema }).nullable(),
    count: z
      .number({ error: 'Type how many goods to show.' })
      .int('Type a whole number.')
      .min(1, 'A strip shows at least one product.')
      .max(MAX_STRIP, `A strip shows at most ${MAX_STRIP} products.`),
  }),
  z.object({
    kind: z.literal('tiles'),
    title: sectionTitle,
    categoryIds: z.array(idSchema).max(24, 'At most 24 tiles.'),
  }),
]);
export type SectionBody = z.infer<typeof sectionBodySchema>;

export type Section = SectionBody & { id: string };

export const pageSchema = z.object({
  id: idSchema,
  title: z.string(),
  slug: slugSchema,
  /** the home page stands at "/" and cannot be deleted */
  home: z.boolean(),
  sections: z.array(z.intersection(sectionBodySchema, z.object({ id: idSchema }))),
});
export type Page = z.infer<typeof pageSchema>;
