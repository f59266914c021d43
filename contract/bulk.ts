import { z } from 'zod';
import { bulkRequestSchema } from '../core/bulk/bulk-actions';
import { idSchema } from '../core/shared/identity';
import { ruleSchema } from '../core/model/rule';
import { goodsRowSchema } from './goods';
import { route } from './route';

/** Most products that are changed at once. */
export const MOST_PRODUCTS = 100_000;

/** Which products: some by id, and whichever a text finds and a rule takes in at that moment. */
export const whichSchema = z.object({
  ids: z.array(idSchema).max(MOST_PRODUCTS).default([]),
  matching: z
    .object({ text: z.string().max(10_000), rule: ruleSchema })
    .nullable()
    .default(null),
});
export type Which = z.infer<typeof whichSchema>;

const row = z.object({
  id: z.string(),
  title: z.string(),
  thumbnail: z.string().nullable(),
  lines: z.array(z.object({ label: z.string(), before: z.string(), after: z.string() })),
  notes: z.array(z.string()),
  problem: z.string().nullable(),
});

const counts = {
  total: z.number().int(),
  /** those that become other than they are */
  changing: z.number().int(),
  failing: z.number().int(),
};

/** Long work of the server, as its tabs follow it. */
export const jobSchema = z.object({
  id: z.string(),
  label: z.string(),
  state: z.enum(['waiting', 'running', 'done', 'cancelled', 'failed']),
  done: z.number().int(),
  total: z.number().int(),
  /** what came of it, or why it failed, in words */
  outcome: z.string(),
});
export type Job = z.infer<typeof jobSchema>;

export const bulkRoutes = {
  which: route({
    method: 'POST',
    path: '/api/bulk/which',
    waits: false,
    summary: 'Products that are meant, such as those in the tray, with the first of them as rows',
    body: whichSchema.extend({ limit: z.number().int().min(0).max(500).default(60) }),
    answer: z.object({ total: z.number().int(), rows: z.array(goodsRowSchema) }),
  }),
  preview: route({
    method: 'POST',
    path: '/api/bulk/preview',
    waits: false,
    summary: 'What a bulk action would make of products, without doing it',
    body: z.object({
      which: whichSchema,
      request: bulkRequestSchema,
      offset: z.number().int().min(0).default(0),
      limit: z.number().int().min(0).max(200).default(100),
      /** only those that change, or that cannot */
      only: z.enum(['all', 'changing', 'failing']).default('all'),
    }),
    answer: z.object({ ...counts, rows: z.array(row) }),
  }),
  run: route({
    method: 'POST',
    path: '/api/bulk',
    waits: false,
    summary: 'Does something to many products, as one change; long work goes on by itself and can be followed',
    body: z.object({ which: whichSchema, request: bulkRequestSchema }),
    answer: jobSchema,
  }),
  merge: route({
    method: 'POST',
    path: '/api/bulk/merge',
    summary: 'Make several products one, the first of them, with a new option that tells them apart',
    body: z.object({
      ids: z.array(idSchema).min(2, 'Pick at least two products.').max(100, 'At most 100 products.'),
      option: z.string().trim().min(1, 'The new option needs a name.').max(80, 'At most 80 characters.'),
      /** a value of it for each product, in order */
      values: z.array(z.string().trim().min(1, 'A value is needed.').max(80, 'At most 80 characters.')),
    }),
    answer: z.object({ id: z.string() }),
  }),
  split: route({
    method: 'POST',
    path: '/api/products/:id/split',
    summary: 'Make a product several, one for each value of one of its options',
    body: z.object({ optionId: idSchema }),
    answer: z.object({ ids: z.array(z.string()) }),
  }),
  jobs: route({
    method: 'GET',
    path: '/api/jobs',
    summary: 'Work that is under way or ended a short while ago',
    answer: z.object({ jobs: z.array(jobSchema) }),
  }),
  cancel: route({
    method: 'POST',
    path: '/api/jobs/:id/cancel',
    waits: false,
    summary: 'Stops work that is under way; what it did so far is taken back',
    answer: jobSchema,
  }),
};
