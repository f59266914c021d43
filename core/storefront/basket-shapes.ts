import { z } from 'zod';
import { pictureViewSchema } from './views';

const whole = z.number().int();

const basketLineViewSchema = z.object({
  key: z.string(),
  title: z.string(),
  url: z.string(),
  picture: pictureViewSchema.nullable(),
  /** "Ember · 50 m" */
  variant: z.string(),
  /** of a bundle: what is in it */
  parts: z.array(z.string()),
  quantity: whole,
  /** how many can be had; null for no end */
  most: whole.nullable(),
  /** list price and price of one piece before offers on the basket, minor units */
  list: whole,
  unit: whole,
  total: whole,
  /** what came off, each by its name */
  reductions: z.array(z.object({ name: z.string(), off: whole })),
  /** what is other than the shopper saw it last, in plain words */
  notices: z.array(z.string()),
});

/** The basket as shoppers meet it. Money in minor units. */
export const basketViewSchema = z.object({
  lines: z.array(basketLineViewSchema),
  /** lines that cannot be had any more, and why */
  gone: z.array(z.object({ key: z.string(), title: z.string(), why: z.string() })),
  /** what was taken out last, and can be put back */
  removed: z.object({ key: z.string(), title: z.string(), quantity: whole }).nullable(),
  /** pieces in all */
  count: whole,
  note: z.string(),
  currency: z.string(),
  /** offers that took something off, or gave something */
  offers: z.array(z.object({ name: z.string(), code: z.string().nullable(), off: whole, gift: z.string().nullable() })),
  /** codes that were typed and do nothing now, and what is missing for an offer */
  hints: z.array(z.object({ code: z.string().nullable(), words: z.string() })),
  giftCards: z.array(z.object({ code: z.string(), pays: whole, left: whole })),
  goods: whole,
  needsDelivery: z.boolean(),
  delivery: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      words: z.string(),
      /** null where it cannot be had */
      price: whole.nullable(),
      why: z.string().nullable(),
      isCollected: z.boolean(),
      chosen: z.boolean(),
    }),
  ),
  deliveryPrice: whole.nullable(),
  /** what is missing until delivery is free; null where it is, or never is */
  missing: whole.nullable(),
  fee: whole,
  countries: z.array(z.object({ code: z.string(), name: z.string(), chosen: z.boolean() })),
  taxIncluded: z.boolean(),
  taxes: z.array(z.object({ words: z.string(), tax: whole })),
  total: whole,
  /** what is left to pay after gift cards */
  due: whole,
  /** where the button on products leads */
  button: z.enum(['drawer', 'basket', 'checkout']),
});
export type BasketView = z.infer<typeof basketViewSchema>;
