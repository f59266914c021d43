import { z } from 'zod';
import { offerSchema, someOfferSchema } from '../core/model/offer';
import { route } from './route';
import { wasOf } from './was';

const whole = z.number().int();
const offerStatus = z.enum(['running', 'coming', 'over', 'off', 'paused']);
export type OfferStatus = z.infer<typeof offerStatus>;

/** Stored offers are whole; only what is written is checked again. */
const storedOffer = offerSchema;

const offerRow = z.object({
  offer: storedOffer,
  status: offerStatus,
  /** what it does, and for whom, in words */
  does: z.string(),
  conditions: z.array(z.string()),
  goods: whole,
  codes: whole,
  uses: whole,
  /** what it took off orders so far, minor units */
  off: whole,
  /** some of its goods would fall below their floor, and are held there */
  held: whole,
  /** other offers that take some of its goods in at the same time */
  meets: whole,
  isLive: z.boolean(),
});
export type OfferRow = z.infer<typeof offerRow>;

const effect = z.object({
  productId: z.string(),
  title: z.string(),
  picture: z.string().nullable(),
  variants: whole,
  /** of the variant that it does least good: lowest margin after */
  list: whole,
  before: whole,
  after: whole,
  lowest: whole.nullable(),
  marginBefore: whole.nullable(),
  marginAfter: whole.nullable(),
  /** why it is not simply reduced, in words; empty where it is */
  note: z.string(),
  isBad: z.boolean(),
});

const offerPreviewSchema = z.object({
  /** number of goods and variants that it takes in */
  goods: whole,
  variants: whole,
  effects: z.array(effect),
  /** other offers that meet it, by goods and time */
  meets: z.array(z.object({ id: z.string(), name: z.string(), goods: whole, when: z.string(), wins: z.string() })),
  /** orders of the last twelve months priced again under it; null where there are none */
  past: z
    .object({
      orders: whole,
      touched: whole,
      revenueBefore: whole,
      revenueAfter: whole,
      marginBefore: whole.nullable(),
      marginAfter: whole.nullable(),
      needed: whole.nullable(),
      /** share that comes off the goods of the touched orders: how many orders by each five per cent */
      distribution: z.array(whole),
    })
    .nullable(),
});
export type OfferPreview = z.infer<typeof offerPreviewSchema>;

const priceTrace = z.object({
  steps: z.array(z.object({ label: z.string(), amount: whole.nullable(), note: z.string() })),
  refused: z.array(z.object({ name: z.string(), why: z.string() })),
  price: whole,
  tax: whole,
  taxWords: z.string(),
  unitPrice: z.string().nullable(),
  lowest: whole.nullable(),
  /** all that was asked for together; null where it is one product alone */
  basket: z
    .object({
      lines: z.array(z.object({ title: z.string(), quantity: whole, total: whole })),
      /** what each offer takes off goods, or gives */
      used: z.array(z.object({ name: z.string(), off: whole })),
      total: whole,
    })
    .nullable(),
});

const pieceCount = z
  .number({ error: 'Type how many.' })
  .int('Type a whole number.')
  .min(1, 'At least one.')
  .max(999, 'At most 999.');
const someOfVariant = z.strictObject({
  productId: z.string().max(60),
  variantId: z.string().max(60),
  quantity: pieceCount,
});

export const offerRoutes = {
  offers: route({
    method: 'GET',
    path: '/api/offers',
    summary: 'All offers, with what they do now',
    answer: z.object({
      offers: z.array(offerRow),
      onSale: whole,
      /** sale prices of single products, by their days */
      sales: z.array(z.object({ from: z.string().nullable(), until: z.string().nullable(), goods: whole })),
      currency: z.string(),
      timeZone: z.string(),
      now: z.string(),
    }),
  }),
  addOffer: route({
    method: 'POST',
    path: '/api/offers',
    summary: 'Make an offer; it is off until it is switched on',
    body: z.strictObject({
      name: z.string().trim().min(1, 'An offer needs a name.').max(120, 'At most 120 characters.'),
      like: z.string().optional(),
    }),
    answer: z.object({ id: z.string() }),
  }),
  changeOffer: route({
    method: 'PATCH',
    path: '/api/offers/:id',
    summary: 'Change some of an offer',
    body: someOfferSchema.extend({ was: wasOf(someOfferSchema.shape) }),
    answer: z.object({ offer: storedOffer }),
  }),
  deleteOffer: route({
    method: 'DELETE',
    path: '/api/offers/:id',
    summary: 'Delete an offer with its codes',
    answer: z.object({ ok: z.literal(true) }),
  }),
  previewOffer: route({
    method: 'POST',
    path: '/api/offers/:id/preview',
    summary: 'What an offer would do, changed as said, before it runs',
    body: someOfferSchema,
    answer: offerPreviewSchema,
    waits: false,
  }),
  codes: route({
    method: 'GET',
    path: '/api/offers/:id/codes',
    summary: 'The codes of an offer',
    answer: z.object({
      codes: z.array(
        z.object({ code: z.string(), uses: whole.nullable(), used: whole, note: z.string(), created: z.string() }),
      ),
    }),
  }),
  addCodes: route({
    method: 'POST',
    path: '/api/offers/:id/codes',
    summary: 'Make codes: one of your own, or many that are easy to read',
    body: z.union([
      z.strictObject({
        code: z.string().max(60),
        uses: whole.min(1, 'At least one.').max(1_000_000).nullable(),
        note: z.string().max(120),
      }),
      z.strictObject({
        count: z
          .number({ error: 'Type how many.' })
          .int('Type a whole number.')
          .min(1, 'At least one.')
          .max(5_000, 'At most 5,000 at once.'),
        uses: whole.min(1, 'At least one.').max(1_000_000).nullable(),
        note: z.string().max(120),
      }),
    ]),
    answer: z.object({ codes: z.array(z.string()) }),
  }),
  dropCodes: route({
    method: 'POST',
    path: '/api/offers/:id/codes/delete',
    summary: 'Delete codes',
    body: z.strictObject({ codes: z.array(z.string().max(60)).min(1).max(5_000) }),
    answer: z.object({ ok: z.literal(true) }),
  }),
  whyPrice: route({
    method: 'POST',
    path: '/api/prices/why',
    summary: 'How the price of a variant comes about: for so many, in a country, at a moment, with a code',
    body: someOfVariant.extend({
      /** what is in the basket with it */
      beside: z.array(someOfVariant).max(20, 'At most 20 others.').default([]),
      country: z
        .string()
        .regex(/^[A-Z]{2}$/)
        .nullable(),
      at: z.iso.datetime().nullable(),
      code: z.string().max(60),
    }),
    answer: priceTrace,
    waits: false,
  }),
  priceHistory: route({
    method: 'GET',
    path: '/api/prices/history',
    summary: 'What a variant cost in the last twelve months, and the editions that changed it',
    query: z.object({ variant: z.string().max(60) }),
    answer: z.object({
      steps: z.array(z.object({ at: z.string(), price: whole, list: whole })),
      editions: z.array(z.object({ at: z.string(), number: whole, label: z.string() })),
      now: z.string(),
    }),
  }),
};
