import { z } from 'zod';
import { route } from './route';

export const changeRowSchema = z.object({
  id: z.number().int(),
  at: z.string(),
  userName: z.string().nullable(),
  label: z.string(),
  kind: z.enum(['edit', 'undo', 'redo']),
  undone: z.boolean(),
});

/** One thing that a change made another, in words; `of` names the product or group where the change touched several. */
const changeDetailSchema = z.object({
  of: z.string(),
  label: z.string(),
  before: z.string(),
  after: z.string(),
});

export const changeWithDetailsSchema = changeRowSchema.extend({
  details: z.array(changeDetailSchema),
  /** details that are not told */
  more: z.number().int(),
});
export type ChangeWithDetails = z.infer<typeof changeWithDetailsSchema>;

export const historyRoutes = {
  all: route({
    method: 'GET',
    path: '/api/history',
    summary: 'What was changed, newest first, with old and new values',
    query: z.object({
      /** only changes before this one */
      before: z.coerce.number().int().optional(),
      limit: z.coerce.number().int().min(1).max(100).default(40),
    }),
    answer: z.object({ changes: z.array(changeWithDetailsSchema) }),
  }),
  reverse: route({
    method: 'POST',
    path: '/api/history/:id/reverse',
    waits: false,
    summary: 'Take one change back or, when it was, do it again; refused where the same was changed since',
    answer: changeRowSchema,
  }),
};
