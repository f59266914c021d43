import { z } from 'zod';
import { targetSchema } from '../target';
import { sectionTitle, sectionType } from './section-type';

export const banner = sectionType(
  'banner',
  {
    title: sectionTitle.min(1, 'A banner needs a title.'),
    text: z.string().trim().max(400, 'A banner can have at most 400 characters.'),
    link: targetSchema.nullable(),
  },
  {
    name: 'Banner',
    fresh: () => ({ kind: 'banner', title: 'New banner', text: '', link: null }),
    words: ['title', 'text'],
    follow: (section, follow) => {
      const link = section.link && follow(section.link, 'link');
      return link === section.link ? section : { ...section, link };
    },
    gone: { link: 'What this banner leads to was deleted. Choose another.' },
  },
);
