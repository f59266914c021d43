import { z } from 'zod';
import { idSchema } from '../../shared/identity';
import { sectionTitle, sectionType } from './section-type';

export const tiles = sectionType(
  'tiles',
  { title: sectionTitle, categoryIds: z.array(idSchema).max(24, 'At most 24 tiles.') },
  {
    name: 'Category tiles',
    fresh: () => ({ kind: 'tiles', title: '', categoryIds: [] }),
    words: ['title'],
    follow: (section, follow) => {
      const ids = section.categoryIds.map((id) => follow({ kind: 'category', id }, 'categoryIds').id);
      return ids.every((id, i) => id === section.categoryIds[i])
        ? section
        : { ...section, categoryIds: [...new Set(ids)] };
    },
    gone: {},
  },
);
