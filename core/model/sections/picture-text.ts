import { z } from 'zod';
import { linkSchema, targetSchema } from '../target';
import { placedPictureSchema } from './picture';
import { followLink, sectionTitle, sectionType, withFields } from './section-type';
import { richText } from './text';
import { translatable } from '../translatable';

export const pictureText = sectionType(
  'pictureText',
  {
    title: sectionTitle,
    html: richText,
    picture: placedPictureSchema.nullable().default(null),
    /** whose picture it shows while it has none of its own */
    pictureOf: targetSchema.nullable().default(null),
    side: z.enum(['left', 'right']).default('left'),
    /** how much of the width the picture takes */
    share: z.enum(['third', 'half', 'most']).default('half'),
    button: z
      .object({ words: translatable(z.string().trim().max(60, 'At most 60 characters.'), 'button'), to: linkSchema })
      .nullable()
      .default(null),
  },
  {
    name: 'Picture beside text',
    about: 'A picture and words next to each other.',
    start: { title: 'New section', html: '<p>Write here.</p>' },
    follow: (section, follow) =>
      withFields(section, {
        pictureOf: followLink(section.pictureOf, follow, 'pictureOf'),
        button: section.button && withFields(section.button, { to: followLink(section.button.to, follow, 'button') }),
      }),
    gone: {
      pictureOf: 'What this picture belonged to was deleted. Choose another.',
      button: 'What this button leads to was deleted. Choose another.',
    },
  },
);
