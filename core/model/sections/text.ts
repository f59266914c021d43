import { z } from 'zod';
import { sectionTitle, sectionType } from './section-type';
import { translatable } from '../translatable';

/** Rich text of a section, as HTML; cleaned before it is stored. */
export const richText = translatable(
  z.string().max(50_000, 'This text is too long: at most 50,000 characters.'),
  'text',
  { form: 'html' },
);

export const text = sectionType(
  'text',
  { title: sectionTitle, html: richText, columns: z.literal([1, 2, 3]).default(1) },
  {
    name: 'Text',
    about: 'Words with headings, lists and links, in one to three columns.',
    start: { title: '', html: '<p>Write here.</p>' },
    follow: (section) => section,
    gone: {},
  },
);
