import { z } from 'zod';
import { route } from './route';

const points = z.number().int();

export const whyFoundRoutes = {
  why: route({
    method: 'GET',
    path: '/api/search/why',
    summary:
      'How a search of shoppers is read in the working copy, and why the first goods that it finds stand in their order',
    query: z.object({ q: z.string().max(400) }),
    answer: z.object({
      read: z.array(
        z.object({
          typed: z.string(),
          meant: z.array(z.string()),
          others: z.array(z.string()),
          isDropped: z.boolean(),
        }),
      ),
      total: z.number().int(),
      full: z.number().int(),
      goods: z.array(
        z.object({
          id: z.string(),
          title: z.string(),
          thumbnail: z.string().nullable(),
          points,
          parts: z.array(z.object({ typed: z.string(), points, because: z.string() })),
          titlePoints: points,
          isLast: z.boolean(),
        }),
      ),
    }),
  }),
};
