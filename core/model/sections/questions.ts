import { z } from 'zod';
import { sectionTitle, sectionType } from './section-type';
import { richText } from './text';
import { translatable } from '../translatable';

const entrySchema = z.object({
  question: translatable(z.string().trim().max(200, 'A question can have at most 200 characters.'), 'question'),
  html: richText,
});

export const questions = sectionType(
  'questions',
  { title: sectionTitle, questions: z.array(entrySchema).max(40, 'At most 40 questions.') },
  {
    name: 'Questions and answers',
    about: 'Questions that unfold their answers.',
    start: { title: 'Questions', questions: [{ question: 'What do people ask?', html: '<p>The answer.</p>' }] },
    follow: (section) => section,
    gone: {},
  },
);
