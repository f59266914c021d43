import { z } from 'zod';
import { sectionTitle, sectionType } from './section-type';
import { translatable } from '../translatable';

/** Drawings that stand beside a fact. */
export const factIcons = [
  'none',
  'parcel',
  'return',
  'hand',
  'leaf',
  'wind',
  'clock',
  'chat',
  'shield',
  'pin',
  'gift',
] as const;

const factSchema = z.object({
  icon: z.enum(factIcons).default('none'),
  title: translatable(z.string().trim().max(80, 'At most 80 characters.'), 'fact'),
  words: translatable(z.string().trim().max(300, 'At most 300 characters.'), 'words of a fact'),
});

export const facts = sectionType(
  'facts',
  { title: sectionTitle, facts: z.array(factSchema).max(8, 'At most eight facts.') },
  {
    name: 'Short facts',
    about: 'A few things to know at a glance, each with a drawing.',
    start: { title: '', facts: [{ icon: 'parcel', title: 'Sent within two days', words: '' }] },
    follow: (section) => section,
    gone: {},
  },
);
