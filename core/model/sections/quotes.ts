import { z } from 'zod';
import { sectionTitle, sectionType } from './section-type';
import { translatable } from '../translatable';

const quoteSchema = z.object({
  words: translatable(z.string().trim().max(600, 'A quote can have at most 600 characters.'), 'quote'),
  who: translatable(z.string().trim().max(80, 'At most 80 characters.'), 'who said it', { optional: true }),
  /** null: no stars */
  stars: z.number().int().min(1).max(5, 'At most five stars.').nullable().default(null),
});

export const quotes = sectionType(
  'quotes',
  { title: sectionTitle, quotes: z.array(quoteSchema).max(12, 'At most twelve quotes.') },
  {
    name: 'Quotes',
    about: 'What others say of the goods or the shop.',
    start: { title: '', quotes: [{ words: 'What somebody said.', who: 'Who said it' }] },
    follow: (section) => section,
    gone: {},
  },
);
