import { z } from 'zod';
import { idSchema } from '../../shared/identity';
import { sectionTitle, sectionType, withFields } from './section-type';
import { translatable } from '../translatable';

export const product = sectionType(
  'product',
  {
    /** empty: the title of the product */
    title: sectionTitle,
    productId: idSchema.nullable(),
    /** words instead of the summary; empty: the summary */
    text: translatable(z.string().trim().max(1_000, 'At most 1,000 characters.'), 'text').default(''),
    side: z.enum(['left', 'right']).default('left'),
    pictures: z.enum(['face', 'all']).default('all'),
  },
  {
    name: 'One product',
    about: 'A product with its pictures, price and choices, right on the page.',
    start: { title: '', productId: null },
    follow: (section, follow) =>
      withFields(section, {
        productId: section.productId && follow({ kind: 'product', id: section.productId }, 'productId').id,
      }),
    gone: { productId: 'This product was deleted. Choose another.' },
  },
);
