import { z } from 'zod';
import { idSchema } from '../../shared/identity';
import { targetSchema } from '../target';
import { eachOf, sectionTitle, sectionType, withFields } from './section-type';

export const tiles = sectionType(
  'tiles',
  {
    title: sectionTitle,
    targets: z.array(targetSchema).max(24, 'At most 24 tiles.'),
    /** all open children of this category instead, kept in step with the tree */
    childrenOf: idSchema.nullable().default(null),
    shape: z.enum(['landscape', 'square', 'portrait', 'round']).default('landscape'),
    columns: z.number().int().min(2, 'At least two.').max(6, 'At most six.').default(4),
    counts: z.boolean().default(true),
  },
  {
    name: 'Tiles',
    about: 'Pictures that lead to categories, collections, brands, tags, goods or pages.',
    start: { title: '', targets: [] },
    follow: (section, follow) => {
      const targets = eachOf(section.targets, (to) => follow(to, 'targets'));
      const parent = section.childrenOf && follow({ kind: 'category', id: section.childrenOf }, 'childrenOf').id;
      const once = new Map(targets.map((to) => [`${to.kind}:${to.id}`, to]));
      return withFields(section, {
        targets: targets === section.targets ? targets : [...once.values()],
        childrenOf: parent,
      });
    },
    gone: { childrenOf: 'The category of these tiles was deleted. Choose another.' },
  },
);
