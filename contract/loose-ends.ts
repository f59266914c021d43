import { z } from 'zod';
import { documentKinds } from '../core/model/document';
import { route } from './route';

const whole = z.number().int();
const kind = z.enum([...documentKinds, 'backup', 'plan']);
const key = z.string().min(1).max(500);
const place = z.object({ check: z.string().max(60), kind, key });

const looseEnd = z.object({
  kind,
  key: z.string(),
  title: z.string(),
  words: z.string(),
  /** share of visits that may meet it, 0 to 1 */
  share: z.number(),
  thumbnail: z.string().nullable(),
  aside: z.object({ reason: z.string(), until: z.string().nullable() }).nullable(),
});
export type LooseEndRow = z.infer<typeof looseEnd>;

const checkRow = z.object({
  key: z.string(),
  label: z.string(),
  about: z.string(),
  /** how many there are, without those put aside */
  count: whole,
  aside: whole,
  /** harm × how often it is met, of all of them together */
  weight: z.number(),
  /** the weightiest, then those put aside */
  ends: z.array(looseEnd),
  /** ids of all products with it that are not put aside */
  productIds: z.array(z.string()),
});
export type LooseCheck = z.infer<typeof checkRow>;

export const looseEndRoutes = {
  all: route({
    method: 'GET',
    path: '/api/loose-ends',
    summary: 'What is unfinished or odd, the weightiest first',
    answer: z.object({ checks: z.array(checkRow), total: whole }),
  }),
  count: route({
    method: 'GET',
    path: '/api/loose-ends/count',
    summary: 'How many loose ends there are, without those put aside',
    answer: z.object({ total: whole }),
  }),
  putAside: route({
    method: 'PUT',
    path: '/api/loose-ends/aside',
    summary: 'Put a loose end aside, with a reason and until when',
    body: place.extend({
      reason: z.string().trim().min(1, 'Say why, in a word or two.').max(300, 'At most 300 characters.'),
      until: z.iso.date('Choose a day.').nullable(),
    }),
    answer: z.object({ ok: z.literal(true) }),
  }),
  takeUp: route({
    method: 'POST',
    path: '/api/loose-ends/take-up',
    summary: 'Take a loose end up again that was put aside',
    body: place,
    answer: z.object({ ok: z.literal(true) }),
  }),
};
