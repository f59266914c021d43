import { z } from 'zod';
import { captionsSchema, filmSchema } from '../film';
import { placedPictureSchema } from './picture';
import { sectionTitle, sectionType } from './section-type';
import { translatable } from '../translatable';

export const film = sectionType(
  'film',
  {
    title: sectionTitle,
    film: filmSchema.nullable(),
    /** words shown over it, for those who hear nothing */
    captions: captionsSchema.nullable().default(null),
    /** shown before it is played; its first moment where there is none */
    poster: placedPictureSchema.nullable().default(null),
    caption: translatable(z.string().trim().max(200, 'At most 200 characters.'), 'caption').default(''),
  },
  {
    name: 'Film',
    about: 'A film that plays when it is asked to.',
    start: { title: '', film: null },
    follow: (section) => section,
    gone: {},
  },
);
