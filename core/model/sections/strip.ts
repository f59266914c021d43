import { z } from 'zod';
import { idSchema } from '../../shared/identity';
import { sectionTitle, sectionType } from './section-type';

export const MAX_STRIP = 24;

const sourceSchema = z.object({ kind: z.enum(['category', 'collection', 'brand', 'tag']), id: idSchema });

export const strip = sectionType(
  'strip',
  {
    /** empty: the name of what it shows */
    title: sectionTitle,
    source: sourceSchema.nullable(),
    count: z
      .number({ error: 'Type how many goods to show.' })
      .int('Type a whole number.')
      .min(1, 'A strip shows at least one product.')
      .max(MAX_STRIP, `A strip shows at most ${MAX_STRIP} products.`),
  },
  {
    name: 'Strip of goods',
    fresh: () => ({ kind: 'strip', title: '', source: null, count: 4 }),
    words: ['title'],
    follow: (section, follow) => {
      // A group is followed to a group of the same kind, never to a page.
      const source = section.source && (follow(section.source, 'source') as z.infer<typeof sourceSchema>);
      return source === section.source ? section : { ...section, source };
    },
    gone: { source: 'What this strip showed was deleted. Choose another source.' },
  },
);
