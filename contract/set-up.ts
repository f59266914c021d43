import { z } from 'zod';
import { setUpKeys } from '../core/loose-ends/set-up-steps';
import { route } from './route';

const listSchema = z.object({
  steps: z.array(
    z.object({
      key: z.enum(setUpKeys),
      title: z.string(),
      why: z.string(),
      canSkip: z.boolean(),
      state: z.enum(['done', 'skipped', 'open']),
    }),
  ),
  /** the seller's first product; null where there is none */
  firstProduct: z.string().nullable(),
  /** example products that are still there */
  examples: z.number().int(),
});

export const setUpRoutes = {
  list: route({
    method: 'GET',
    path: '/api/set-up',
    summary: 'What is done of setting the shop up, and what is left, in the order in which people do it',
    answer: listSchema,
  }),
  skip: route({
    method: 'PUT',
    path: '/api/set-up/skipped',
    summary: 'Leave a step as it is, or take it up again',
    body: z.object({ step: z.enum(setUpKeys), isSkipped: z.boolean() }),
    answer: listSchema,
  }),
  addExamples: route({
    method: 'POST',
    path: '/api/set-up/examples',
    summary: 'Add a few example products with pictures, as one change',
    answer: listSchema,
  }),
  removeExamples: route({
    method: 'DELETE',
    path: '/api/set-up/examples',
    summary: 'Delete the example products that are still there, as one change',
    answer: listSchema,
  }),
};
