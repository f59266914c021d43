import { z } from 'zod';
import { sectionType } from './section-type';

export const line = sectionType(
  'line',
  { drawn: z.boolean().default(true) },
  {
    name: 'Line and space',
    about: 'A line between sections, or only room.',
    start: {},
    follow: (section) => section,
    gone: {},
  },
);
