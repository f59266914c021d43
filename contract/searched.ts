import { z } from 'zod';
import { forwardPathSchema } from '../core/model/forward';
import { linkSchema } from '../core/model/target';
import { route } from './route';

const whole = z.number().int();
const ok = z.object({ ok: z.literal(true) });
const link = z.object({ label: z.string(), to: linkSchema });

const searchedRow = z.object({
  locale: z.string(),
  words: z.string(),
  times: whole,
  /** goods that it finds now */
  finds: whole,
  /** midnight UTC of the last day, seconds since 1970 */
  last: whole,
  opened: z.array(z.object({ id: z.string(), title: z.string(), times: whole })),
  /** page that it leads to by itself; null where it is searched */
  leads: link.nullable(),
});
export type SearchedRow = z.infer<typeof searchedRow>;

const forwardRow = z.object({
  path: z.string(),
  /** null: gone for good */
  to: link.nullable(),
  /** address to which a shopper is sent now; null where that is nowhere */
  url: z.string().nullable(),
  by: z.enum(['hand', 'import', 'renamed']),
  /** kept by the renaming of a thing, and belongs to it: nothing of it can be changed */
  isFixed: z.boolean(),
});
export type ForwardRow = z.infer<typeof forwardRow>;

const broughtForward = z.object({
  path: z.string(),
  to: linkSchema.nullable(),
  label: z.string(),
  what: z.enum(['new', 'changed', 'same', 'refused']),
  note: z.string(),
});
export type BroughtForward = z.infer<typeof broughtForward>;

export const searchedRoutes = {
  searched: route({
    method: 'GET',
    path: '/api/searched',
    summary: 'What shoppers searched, how often, and what they opened',
    query: z.object({
      days: z.coerce.number().int().min(1).max(400).default(90),
      nothing: z.enum(['true', 'false']).default('false'),
    }),
    answer: z.object({ rows: z.array(searchedRow), counted: whole }),
  }),
  same: route({
    method: 'POST',
    path: '/api/searched/same',
    summary: 'Let words mean the same as others',
    body: z.object({
      locale: z.string().max(35),
      words: z.string().trim().min(1).max(60),
      as: z.string().trim().min(1, 'Type what it means.').max(60, 'At most 60 characters.'),
    }),
    answer: ok,
  }),
  lead: route({
    method: 'POST',
    path: '/api/searched/lead',
    summary: 'Let a search lead to a page at once, or search again',
    body: z.object({ locale: z.string().max(35), words: z.string().trim().min(1).max(60), to: linkSchema.nullable() }),
    answer: ok,
  }),
  forwards: route({
    method: 'GET',
    path: '/api/forwards',
    summary: 'Paths that forward, by hand, by import and since things were renamed',
    query: z.object({
      q: z.string().max(200).optional(),
      offset: z.coerce.number().int().min(0).max(1_000_000).optional(),
    }),
    answer: z.object({ total: whole, forwards: z.array(forwardRow) }),
  }),
  setForward: route({
    method: 'PUT',
    path: '/api/forwards',
    summary: 'Let a path forward, or say that it is gone for good',
    body: z.object({ path: forwardPathSchema, to: linkSchema.nullable() }),
    answer: ok,
  }),
  dropForward: route({
    method: 'DELETE',
    path: '/api/forwards',
    summary: 'Let a path no longer forward',
    body: z.object({ path: z.string().max(600) }),
    answer: ok,
  }),
  bringForwards: route({
    method: 'POST',
    path: '/api/forwards/brought',
    summary: 'What a table of forwards would change',
    waits: false,
    body: z.object({ text: z.string().max(2_000_000, 'This table is too large.') }),
    answer: z.object({ forwards: z.array(broughtForward) }),
  }),
  takeForwards: route({
    method: 'POST',
    path: '/api/forwards/taken',
    summary: 'Take forwards over from a table',
    body: z.object({
      forwards: z
        .array(z.object({ path: forwardPathSchema, to: linkSchema.nullable() }))
        .min(1)
        .max(10_000),
    }),
    answer: z.object({ taken: whole }),
  }),
  missed: route({
    method: 'GET',
    path: '/api/missed',
    summary: 'Paths that were asked for where nothing stands, each with what is nearest',
    answer: z.object({
      paths: z.array(z.object({ path: z.string(), times: whole, last: z.string(), nearest: link.nullable() })),
    }),
  }),
  forgetMissed: route({
    method: 'DELETE',
    path: '/api/missed',
    summary: 'Forget a path that was asked for',
    body: z.object({ path: z.string().max(600) }),
    answer: ok,
  }),
};
