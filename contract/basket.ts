import { z } from 'zod';
import { basketPartSchema, quantitySchema } from '../core/model/basket';
import { MAX_STRIP } from '../core/model/sections/strip';
import { productCardSchema } from '../core/storefront/views';
import { basketViewSchema } from '../core/storefront/basket-shapes';
import { route } from './route';

const entry = z.object({
  slug: z.string().min(1).max(300).describe('address of the product'),
  variant: z.string().min(1).max(60),
  quantity: quantitySchema.default(1),
  parts: z.array(basketPartSchema).max(200).default([]).describe('of a bundle: what stands in its slots'),
  value: z
    .number({ error: 'Type an amount.' })
    .int('Amounts have at most two decimals.')
    .min(1, 'The amount must be above zero.')
    .max(1_000_000_00, 'This amount is too large.')
    .nullable()
    .default(null)
    .describe('of a gift card: the value that the shopper chose, minor units'),
});
export const addToBasketSchema = entry;

export const basketRoutes = {
  basket: route({
    method: 'GET',
    path: '/shop-api/basket',
    summary: 'The basket of this browser, with prices and stock of now',
    answer: basketViewSchema,
    open: true,
  }),
  goesWith: route({
    method: 'GET',
    path: '/shop-api/basket/goes-with',
    summary: 'Cards of what goes with the basket of this browser; at most 48',
    query: z.object({ count: z.coerce.number().int().min(1).max(MAX_STRIP).default(4) }),
    answer: z.object({ items: z.array(productCardSchema) }),
    open: true,
  }),
  add: route({
    method: 'POST',
    path: '/shop-api/basket/entries',
    summary: 'Put pieces of a variant into the basket',
    body: entry,
    answer: basketViewSchema,
    open: true,
  }),
  setQuantity: route({
    method: 'PATCH',
    path: '/shop-api/basket/entries',
    summary: 'Change how many pieces a line has; with none it goes',
    body: z.object({ key: z.string().min(1).max(2_000), quantity: z.union([z.literal(0), quantitySchema]) }),
    answer: basketViewSchema,
    open: true,
  }),
  addCode: route({
    method: 'POST',
    path: '/shop-api/basket/codes',
    summary: 'Use the code of an offer or of a gift card',
    body: z.object({ code: z.string().max(100) }),
    answer: basketViewSchema,
    open: true,
  }),
  dropCode: route({
    method: 'POST',
    path: '/shop-api/basket/codes/drop',
    summary: 'Use a code no longer',
    body: z.object({ code: z.string().max(100) }),
    answer: basketViewSchema,
    open: true,
  }),
  changeBasket: route({
    method: 'PATCH',
    path: '/shop-api/basket',
    summary: 'Change note, country or way of delivery',
    body: z
      .object({
        note: z.string().max(1_000, 'At most 1,000 characters.'),
        country: z.string().regex(/^[A-Z]{2}$/, 'Choose a country.'),
        deliveryId: z.string().max(60),
      })
      .partial(),
    answer: basketViewSchema,
    open: true,
  }),
};
