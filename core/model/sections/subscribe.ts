import { z } from 'zod';
import { sectionTitle, sectionType } from './section-type';
import { translatable } from '../translatable';

export const subscribe = sectionType(
  'subscribe',
  {
    title: sectionTitle,
    text: translatable(z.string().trim().max(400, 'At most 400 characters.'), 'text'),
    button: translatable(
      z.string().trim().min(1, 'The button needs a word.').max(40, 'At most 40 characters.'),
      'button',
    ),
    thanks: translatable(
      z.string().trim().min(1, 'Say something to those who signed up.').max(200, 'At most 200 characters.'),
      'thanks',
    ),
  },
  {
    name: 'Note to subscribe',
    about: 'Takes mail addresses into a list that you can download.',
    start: { title: 'Hear from us', text: '', button: 'Tell me', thanks: 'Thank you. We will write to you.' },
    follow: (section) => section,
    gone: {},
  },
);
