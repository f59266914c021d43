import { z } from 'zod';
import { fitSchema, productKindSchema } from '../core/model/product-values';
import { route } from './route';

const focus = z.object({ x: z.number(), y: z.number() });
const pictureViewSchema = z.object({
  media: z.string(),
  alt: z.string(),
  width: z.number(),
  height: z.number(),
  focus,
  fit: fitSchema,
  ground: z.string(),
});

/** Amounts are 0 unless prices are shown. */
const pricingSchema = z.enum(['shown', 'onRequest', 'soldOut']);
const unitPriceSchema = z.object({ amount: z.number().int(), words: z.string() });

const cardSchema = z.object({
  pricing: pricingSchema,
  unitPrice: unitPriceSchema.nullable(),
  id: z.string(),
  slug: z.string(),
  title: z.string(),
  url: z.string(),
  image: z.string().nullable(),
  picture: pictureViewSchema.nullable(),
  price: z.object({ min: z.number().int(), max: z.number().int(), currency: z.string() }),
  wasPrice: z.number().int().nullable(),
  inStock: z.boolean(),
  brand: z.string().nullable(),
  variantId: z.string().nullable(),
  swatches: z.array(z.object({ label: z.string(), colour: z.string() })),
});

const facetValue = z.object({
  value: z.string(),
  label: z.string(),
  count: z.number().int(),
  selected: z.boolean(),
  colour: z.string().optional(),
});
const span = z.object({ min: z.number(), max: z.number() });

const listingSchema = z.object({
  total: z.number().int(),
  page: z.number().int(),
  pageSize: z.number().int(),
  sorts: z.array(z.object({ key: z.string(), label: z.string() })),
  sort: z.string(),
  items: z.array(cardSchema),
  facets: z.array(
    z.discriminatedUnion('type', [
      z.object({ key: z.string(), label: z.string(), type: z.literal('choice'), values: z.array(facetValue) }),
      z.object({
        key: z.string(),
        label: z.string(),
        type: z.literal('range'),
        values: span,
        selected: z.object({ min: z.number().nullable(), max: z.number().nullable() }).nullable(),
        unit: z.string().optional(),
      }),
    ]),
  ),
});

const labelled = z.object({ label: z.string(), value: z.string() });

/** What a bundle is chosen from. `off`: basis points off the sum of the parts; null when its price is fixed. */
const bundleViewSchema = z.object({
  off: z.number().int().nullable(),
  slots: z.array(
    z.object({
      id: z.string(),
      label: z.string(),
      min: z.number().int(),
      max: z.number().int(),
      usual: z.string().nullable(),
      parts: z.array(
        z.object({
          id: z.string(),
          title: z.string(),
          url: z.string(),
          picture: pictureViewSchema.nullable(),
          variants: z.array(
            z.object({ id: z.string(), label: z.string(), price: z.number().int(), most: z.number().int() }),
          ),
        }),
      ),
    }),
  ),
});

const shopProductSchema = z.object({
  id: z.string(),
  kind: productKindSchema,
  slug: z.string(),
  title: z.string(),
  summary: z.string(),
  description: z.string(),
  url: z.string(),
  currency: z.string(),
  brand: z.string().nullable(),
  brandUrl: z.string().nullable(),
  inStock: z.boolean(),
  crumbs: z.array(z.object({ label: z.string(), url: z.string() })),
  pictures: z.array(pictureViewSchema.extend({ id: z.string() })),
  options: z.array(
    z.object({
      key: z.string(),
      label: z.string(),
      values: z.array(
        z.object({
          key: z.string(),
          label: z.string(),
          colour: z.string().nullable(),
          picture: z.string().nullable(),
        }),
      ),
    }),
  ),
  variants: z.array(
    z.object({
      id: z.string(),
      sku: z.string(),
      options: z.record(z.string(), z.string()),
      price: z.number().int(),
      wasPrice: z.number().int().nullable(),
      barcode: z.string(),
      lowestBefore: z.number().int().nullable(),
      unitPrice: unitPriceSchema.nullable(),
      quantityPrices: z.array(z.object({ from: z.number().int(), price: z.number().int() })),
      inStock: z.boolean(),
      few: z.boolean(),
      image: z.string().nullable(),
      pictureId: z.string().nullable(),
      delivery: z.array(labelled).nullable(),
    }),
  ),
  pricing: pricingSchema,
  quantityPrices: z.array(z.object({ from: z.number().int(), off: z.number().int() })),
  saleUntil: z.string().nullable(),
  saleLastDay: z.string().nullable(),
  orderDelay: z.string().nullable(),
  specs: z.array(z.object({ heading: z.string(), rows: z.array(labelled) })),
  delivery: z.array(labelled),
  bundle: bundleViewSchema.nullable(),
  priceRange: z.object({ low: z.number().int(), high: z.number().int() }),
  downloads: z.array(z.object({ name: z.string(), size: z.string(), variantId: z.string().nullable() })),
  downloadTerms: z.string(),
  files: z.array(z.object({ role: z.enum(['sample', 'manual']), name: z.string(), size: z.string(), url: z.string() })),
  meta: z.object({ title: z.string(), description: z.string(), noindex: z.boolean() }),
});

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
    answer: listingSchema,
    open: true,
  }),
  product: route({
    method: 'GET',
    path: '/shop-api/products/:slug',
    summary: 'A product of the live shop with its options and variants',
    answer: shopProductSchema,
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
