import { z } from 'zod';
import { orderBodySchema, orderEventSchema, orderStatuses } from '../core/model/shop-order';
import { moneySchema } from '../core/model/product-values';
import { route } from './route';

const whole = z.number().int();
const statusSchema = z.enum(orderStatuses);
const reason = z.string().trim().max(500, 'At most 500 characters.');
const counts = z
  .array(
    z.object({
      key: z.string().min(1).max(2_000),
      quantity: z
        .number({ error: 'Type how many.' })
        .int('Type a whole number.')
        .min(1, 'At least one.')
        .max(999, 'At most 999.'),
    }),
  )
  .max(200);

const orderAnswerSchema = z.object({
  id: z.string(),
  number: whole,
  at: z.string(),
  status: statusSchema,
  isPaid: z.boolean(),
  refunded: whole,
  isPartRefunded: z.boolean(),
  body: orderBodySchema,
  /** by line: pieces still to be sent, and pieces that can be taken back */
  unsent: z.record(z.string(), whole),
  kept: z.record(z.string(), whole),
  events: z.array(z.object({ id: whole, at: z.string(), by: z.string().nullable(), event: orderEventSchema })),
  downloads: z.array(
    z.object({ name: z.string(), fetched: whole, most: whole.nullable(), until: z.string().nullable() }),
  ),
  giftCards: z.array(z.object({ code: z.string(), worth: whole, left: whole, isOff: z.boolean() })),
  /** the page that the shopper has of it */
  url: z.string(),
});
export type OrderAnswer = z.infer<typeof orderAnswerSchema>;

const done = <Body extends z.ZodType>(path: string, summary: string, body: Body) =>
  route({ method: 'POST', path: `/api/orders/:id/${path}`, summary, body, answer: orderAnswerSchema });

export const orderRoutes = {
  orders: route({
    method: 'GET',
    path: '/api/orders',
    scope: 'orders',
    summary: 'Orders, the last first, with how many there are of each status',
    query: z.object({
      status: z.string().optional().describe('statuses, with commas between'),
      q: z.string().max(200).optional().describe('number, name, mail address or what was ordered'),
      page: z.string().optional(),
    }),
    answer: z.object({
      orders: z.array(
        z.object({
          id: z.string(),
          number: whole,
          at: z.string(),
          name: z.string(),
          status: statusSchema,
          total: whole,
          currency: z.string(),
          pieces: whole,
          goods: z.string(),
          payment: z.string(),
        }),
      ),
      count: whole,
      counts: z.partialRecord(statusSchema, whole),
      pageSize: whole,
    }),
  }),
  order: route({
    method: 'GET',
    path: '/api/orders/:id',
    scope: 'orders',
    summary: 'An order with all that happened to it',
    answer: orderAnswerSchema,
  }),
  paid: done('paid', 'Note that an order is paid', z.strictObject({})),
  sent: done(
    'sent',
    'Send a parcel',
    z.strictObject({
      lines: counts.min(1, 'Choose what is in the parcel.'),
      tracking: z.string().trim().max(80, 'At most 80 characters.'),
    }),
  ),
  refund: done(
    'refund',
    'Pay some of it back',
    z.strictObject({
      lines: counts,
      amount: moneySchema.min(1, 'The amount must be above zero.').nullable(),
      restocked: z.boolean(),
      reason,
    }),
  ),
  cancel: done('cancel', 'Call an order off that is not paid', z.strictObject({ reason })),
  note: done(
    'note',
    'Note something',
    z.strictObject({ text: z.string().trim().min(1, 'Type a note.').max(1_000, 'At most 1,000 characters.') }),
  ),
};
