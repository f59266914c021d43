import { z } from 'zod';
import { linkSchema } from '../target';
import { placedPictureSchema } from './picture';
import { eachOf, followLink, sectionTitle, sectionType, withFields } from './section-type';
import { translatable } from '../translatable';

const entrySchema = z.object({
  picture: placedPictureSchema,
  caption: translatable(z.string().trim().max(200, 'At most 200 characters.'), 'caption').default(''),
  to: linkSchema.nullable().default(null),
});

export const pictures = sectionType(
  'pictures',
  {
    title: sectionTitle,
    pictures: z.array(entrySchema).max(24, 'At most 24 pictures.'),
    columns: z.number().int().min(1).max(6, 'At most six.').default(3),
    shape: z.enum(['own', 'landscape', 'square', 'portrait']).default('landscape'),
  },
  {
    name: 'Pictures',
    about: 'One picture or many, with captions and links.',
    start: { title: '', pictures: [] },
    follow: (section, follow) =>
      withFields(section, {
        pictures: eachOf(section.pictures, (entry) =>
          withFields(entry, { to: followLink(entry.to, follow, 'pictures') }),
        ),
      }),
    gone: { pictures: 'What one of these pictures leads to was deleted. Choose another.' },
  },
);
