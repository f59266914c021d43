import { z } from 'zod';
import { linkSchema, targetSchema } from '../target';
import { placedPictureSchema } from './picture';
import { eachOf, followLink, sectionTitle, sectionType, withFields } from './section-type';
import { translatable } from '../translatable';

const buttonSchema = z.object({
  /** empty: the name of what it leads to */
  words: translatable(z.string().trim().max(60, 'A button can have at most 60 characters.'), 'button'),
  to: linkSchema,
});

const slideSchema = z.object({
  title: sectionTitle,
  text: translatable(z.string().trim().max(400, 'A banner can have at most 400 characters.'), 'text'),
  picture: placedPictureSchema.nullable().default(null),
  /** whose picture it shows while it has none of its own */
  pictureOf: targetSchema.nullable().default(null),
  buttons: z.array(buttonSchema).max(2, 'At most two buttons.').default([]),
});
export type Slide = z.infer<typeof slideSchema>;

export const banner = sectionType(
  'banner',
  {
    slides: z
      .array(slideSchema)
      .min(1, 'A banner shows at least one thing.')
      .max(8, 'At most eight, one after the other.'),
    place: z.enum(['beside', 'behind', 'above']).default('beside'),
    height: z.enum(['low', 'usual', 'tall']).default('usual'),
  },
  {
    name: 'Banner',
    about: 'A picture with a heading and up to two buttons; several take turns.',
    start: { slides: [{ title: 'New banner', text: '' }] },
    follow: (section, follow) =>
      withFields(section, {
        slides: eachOf(section.slides, (slide) =>
          withFields(slide, {
            pictureOf: followLink(slide.pictureOf, follow, 'slides'),
            buttons: eachOf(slide.buttons, (button) =>
              withFields(button, { to: followLink(button.to, follow, 'slides') }),
            ),
          }),
        ),
      }),
    gone: { slides: 'What a button or picture of this banner belongs to was deleted. Choose another.' },
  },
);
