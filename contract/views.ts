import { z } from 'zod';
import { ruleSchema } from '../core/model/rule';
import { route } from './route';

const viewSchema = z.object({
  id: z.string(),
  name: z.string().trim().min(1, 'A view needs a name.').max(80, 'At most 80 characters.'),
  text: z.string().max(10_000),
  rule: ruleSchema,
  sort: z.string().max(90),
});
export type View = z.infer<typeof viewSchema>;

export const viewRoutes = {
  all: route({
    method: 'GET',
    path: '/api/views',
    summary: 'Views of the goods that were kept, with how many products each finds',
    answer: z.object({ views: z.array(viewSchema.extend({ total: z.number().int() })) }),
  }),
  add: route({
    method: 'POST',
    path: '/api/views',
    summary: 'Keep a view of the goods',
    body: viewSchema.omit({ id: true }),
    answer: viewSchema,
  }),
  remove: route({
    method: 'DELETE',
    path: '/api/views/:id',
    summary: 'Delete a view; its goods stay',
    answer: z.object({ ok: z.literal(true) }),
  }),
};
