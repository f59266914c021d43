import { z } from 'zod';
import { countrySchema, postcodeProblem } from './countries';
import { paymentKinds, type PaymentKind } from './selling';

const whole = z.number().int();
const line = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const needed = (most: number, message: string) => line(most).min(1, message);

export const orderContactSchema = z.object({
  email: z
    .string()
    .trim()
    .toLowerCase()
    .pipe(z.email('Type a mail address such as you@example.com.').max(200, 'At most 200 characters.')),
  name: needed(120, 'Type your name.'),
  phone: line(40).regex(/^[+\d\s()/.-]*$/, 'Type a number such as +31 20 123 45 67.'),
});

export const orderAddressSchema = z
  .object({
    street: needed(120, 'Type street and number.'),
    more: line(120),
    postcode: line(20),
    city: needed(80, 'Type the town.'),
    country: countrySchema,
  })
  .superRefine(({ country, postcode }, context) => {
    const message = postcodeProblem(country, postcode);
    if (message) context.addIssue({ code: 'custom', path: ['postcode'], message });
  });

export type OrderContact = z.infer<typeof orderContactSchema>;
export type OrderAddress = z.infer<typeof orderAddressSchema>;

/** A line of an order, as it was when it was placed; money in minor units. */
const orderLineSchema = z.object({
  key: z.string(),
  productId: z.string(),
  variantId: z.string(),
  kind: z.enum(['physical', 'digital', 'service', 'giftCard', 'bundle']),
  sku: z.string(),
  title: z.string(),
  variant: z.string(),
  parts: z.array(z.string()),
  /** variants of which stock was taken, for one piece of the line */
  takes: z.array(z.object({ productId: z.string(), variantId: z.string(), quantity: whole })),
  /** something of it is sent */
  isSent: z.boolean(),
  quantity: whole,
  list: whole,
  unit: whole,
  reductions: z.array(z.object({ offerId: z.string(), name: z.string(), off: whole })),
  total: whole,
  /** basis points */
  rate: whole,
  tax: whole,
});
export type OrderLine = z.infer<typeof orderLineSchema>;

/** What was ordered, by whom, and what it cost then. It never changes: what happens to it is told by its events. */
export const orderBodySchema = z.object({
  contact: orderContactSchema,
  address: orderAddressSchema.nullable(),
  country: z.string(),
  note: z.string(),
  lines: z.array(orderLineSchema),
  used: z.array(z.object({ offerId: z.string(), name: z.string(), code: z.string().nullable(), off: whole })),
  delivery: z.object({ name: z.string(), price: whole, isCollected: z.boolean() }).nullable(),
  payment: z.object({
    name: z.string(),
    kind: z.enum([...(Object.keys(paymentKinds) as [PaymentKind, ...PaymentKind[]]), 'giftCard']),
    words: z.string(),
    fee: whole,
  }),
  giftCards: z.array(z.object({ code: z.string(), amount: whole })),
  goods: whole,
  taxIncluded: z.boolean(),
  taxes: z.array(z.object({ rate: whole, net: whole, tax: whole })),
  /** said on the invoice, where no tax is charged */
  exemptWords: z.string(),
  total: whole,
  /** what was to be paid beside gift cards */
  due: whole,
  currency: z.string(),
  locale: z.string(),
});
export type OrderBody = z.infer<typeof orderBodySchema>;

const lineCountSchema = z.object({ key: z.string(), quantity: whole.min(1) });

/** What can happen to an order. */
export const orderEventSchema = z.discriminatedUnion('what', [
  z.object({ what: z.literal('placed') }),
  z.object({ what: z.literal('paid'), amount: whole, how: z.string() }),
  z.object({ what: z.literal('declined'), how: z.string() }),
  z.object({ what: z.literal('sent'), lines: z.array(lineCountSchema), tracking: z.string() }),
  z.object({
    what: z.literal('refunded'),
    /** paid back, minor units, of which so much onto gift cards */
    amount: whole,
    toGiftCards: whole,
    lines: z.array(lineCountSchema),
    restocked: z.boolean(),
    reason: z.string(),
  }),
  z.object({ what: z.literal('cancelled'), reason: z.string() }),
  z.object({ what: z.literal('noted'), text: z.string() }),
]);
export type OrderEvent = z.infer<typeof orderEventSchema>;

export const orderStatuses = ['new', 'paid', 'partSent', 'sent', 'refunded', 'cancelled'] as const;
export type OrderStatus = (typeof orderStatuses)[number];
