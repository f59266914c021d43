import { z } from 'zod';
import { listingViewSchema, productCardSchema, productViewSchema, suggestionsSchema } from '../core/storefront/views';
import { route } from './route';

/** Query of a listing; filters come as f.<facet>=a,b and f.price=10..50 (major units) beside these. */
const listingQuerySchema = z.object({
  at: z.string().optional().describe('category:<slug>, collection:<slug>, brand:<slug>, tag:<slug> or all'),
  q: z.string().optional().describe('words to search for'),
  page: z.string().optional().describe('page number from 1'),
  sort: z.string().optional().describe('key of one of the sorts in the answer'),
});

export const shopRoutes = {
  listing: route({
    method: 'GET',
    path: '/shop-api/listing',
    summary:
      'Products at a place of the live shop, with filters (f.<facet>=a,b; f.price=10..50 in major units), counts, sort and pages of 24',
    query: listingQuerySchema,
    answer: listingViewSchema,
    open: true,
    shared: true,
  }),
  suggest: route({
    method: 'GET',
    path: '/shop-api/suggest',
    summary: 'What a search that is being typed may be about: whole words, groups and pages, goods',
    query: z.object({ q: z.string().max(10_000).optional() }),
    answer: suggestionsSchema,
    open: true,
    shared: true,
  }),
  product: route({
    method: 'GET',
    path: '/shop-api/products/:slug',
    summary: 'A product of the live shop with its options and variants',
    answer: productViewSchema,
    open: true,
    shared: true,
  }),
  cards: route({
    method: 'GET',
    path: '/shop-api/cards',
    summary: 'Cards of products of the live shop by their addresses (slugs=a,b), in that order; at most 48',
    query: z.object({ slugs: z.string().max(6_000).optional() }),
    answer: z.object({ items: z.array(productCardSchema) }),
    open: true,
    shared: true,
  }),
  subscribe: route({
    method: 'POST',
    path: '/shop-api/subscribers',
    summary: 'Put a mail address into the list of those who want to hear from the shop',
    body: z.object({
      email: z.email('This is not a mail address.').max(200, 'At most 200 characters.'),
      page: z.string().max(300).optional().describe('path of the page where it was typed'),
    }),
    answer: z.object({ ok: z.literal(true) }),
    open: true,
  }),
  health: route({
    method: 'GET',
    path: '/healthz',
    summary: 'Is the server up, and which edition is live (0 when none is)',
    answer: z.object({ status: z.literal('ok'), edition: z.number().int() }),
    open: true,
  }),
};
