import { z } from 'zod';
import { route } from './route';

const whole = z.number().int();
const good = z.object({ id: z.string(), title: z.string(), thumbnail: z.string().nullable() });
const selling = z.object({ orders: whole, value: whole, pieces: whole });
const visiting = z.object({ visits: whole, views: whole });

const todaySchema = z.object({
  days: whole,
  currency: z.string(),
  /** in the period, and in the one of the same length before it; money in minor units */
  sold: selling,
  soldBefore: selling,
  visited: visiting,
  visitedBefore: visiting,
  /** each day of the period, the first one first */
  series: z.array(z.object({ day: z.string(), orders: whole, value: whole, visits: whole })),
  best: z.array(good.extend({ pieces: whole, value: whole })),
  groups: z.array(z.object({ id: z.string(), name: z.string(), value: whole })),
  /** from where goods were opened, with the money that is put down to it; the most first */
  places: z.array(z.object({ kind: z.string(), id: z.string(), name: z.string(), times: whole, value: whole })),
  viewed: z.array(good.extend({ times: whole, pieces: whole })),
  searched: z.array(z.object({ words: z.string(), times: whole, found: whole })),
  lost: z.array(z.object({ words: z.string(), times: whole })),
  /** goods that run out soon, in days from now: as likely sooner as later, and between which days eight times in ten */
  runsOut: z.array(good.extend({ stock: whole, early: z.number(), likely: z.number(), late: z.number() })),
  runsOutCount: whole,
  /** goods in stock of which nothing was sold for long */
  slow: z.array(good.extend({ stock: whole, value: whole })),
  slowCount: whole,
  slowValue: whole,
  /** what others changed since this person looked last, the newest first */
  changed: z.array(z.object({ id: whole, at: z.string(), userName: z.string().nullable(), label: z.string() })),
  loose: z.object({
    total: whole,
    checks: z.array(z.object({ key: z.string(), label: z.string(), count: whole })),
  }),
  planned: z.array(z.object({ id: z.string(), at: z.string(), label: z.string(), documents: whole, touched: whole })),
});
export type Today = z.infer<typeof todaySchema>;

export const todayRoutes = {
  today: route({
    method: 'GET',
    path: '/api/today',
    summary: 'What sells, who comes, what runs out, what is loose and what is planned',
    query: z.object({ days: z.coerce.number().int().min(1).max(365).default(30) }),
    answer: todaySchema,
  }),
  looked: route({
    method: 'POST',
    path: '/api/today/looked',
    summary: 'Note that the person has looked at what others changed',
    answer: z.object({ ok: z.literal(true) }),
  }),
};
