import { z } from 'zod';
import { route } from './route';

const email = z.email('This is not a mail address.').max(200, 'At most 200 characters.');
const slug = z.string().min(1).max(300).describe('address of the product');
const variant = z.string().max(60).optional().describe('id of the variant it is about');
const done = z.object({ ok: z.literal(true) });

export const questionSchema = z.object({
  slug,
  variant,
  email,
  text: z.string().trim().min(1, 'Write what you want to know.').max(2_000, 'At most 2,000 characters.'),
});

export const backNoteSchema = z.object({ slug, variant: z.string().min(1).max(60), email });

const answerText = z.string().trim().min(1, 'An answer needs words.').max(5_000, 'At most 5,000 characters.');

export const letterRoutes = {
  ask: route({
    method: 'POST',
    path: '/shop-api/questions',
    summary: 'Ask the shop something about one of its products',
    body: questionSchema,
    answer: done,
    open: true,
  }),
  tellWhenBack: route({
    method: 'POST',
    path: '/shop-api/back-notes',
    summary: 'Be written to once, when a variant that is sold out is back',
    body: backNoteSchema,
    answer: done,
    open: true,
  }),
  letters: route({
    method: 'GET',
    path: '/api/letters',
    summary: 'What shoppers asked, who waits for what, and what was written to shoppers; the last first',
    answer: z.object({
      questions: z.array(
        z.object({
          id: z.string(),
          at: z.string(),
          productId: z.string(),
          /** whether the product is still there */
          isKnown: z.boolean(),
          about: z.string(),
          email: z.string(),
          text: z.string(),
          /** moment at which it was answered, or put away; null while it is open */
          answered: z.string().nullable(),
        }),
      ),
      waiting: z.array(
        z.object({
          productId: z.string(),
          variantId: z.string(),
          about: z.string(),
          email: z.string(),
          at: z.string(),
        }),
      ),
      outbox: z.array(
        z.object({
          id: z.number(),
          at: z.string(),
          sender: z.string(),
          recipient: z.string(),
          subject: z.string(),
          text: z.string(),
        }),
      ),
    }),
  }),
  answerQuestion: route({
    method: 'POST',
    path: '/api/questions/:id/answer',
    summary: 'Answer a question: the answer is written to the outbox',
    body: z.strictObject({ text: answerText }),
    answer: done,
  }),
  putAway: route({
    method: 'POST',
    path: '/api/questions/:id/put-away',
    summary: 'Put a question away without an answer',
    body: z.strictObject({}),
    answer: done,
  }),
};
