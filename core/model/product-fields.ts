import { z } from 'zod';
import { idSchema, slugSchema } from '../shared/identity';
import { bundleSchema } from './bundle';
import { declare } from './fields';
import { liveDays } from './live-days';
import { MAX_FILES, productFileSchema } from './product-file';
import {
  customFieldSchema,
  dispatchDaysSchema,
  downloadDaysSchema,
  downloadLimitSchema,
  durationSchema,
  momentSchema,
  ownValueSchema,
  packageSizeSchema,
  packageTypeSchema,
  productKindSchema,
  quantityPriceSchema,
  relationSchema,
  statusSchema,
  taxClassSchema,
  titleSchema,
  unitPricingSchema,
  weightSchema,
  whenSoldOutSchema,
} from './product-values';
import { specValueSchema } from './spec-sheet';
import { translatable } from './translatable';

const text = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);

/** More marks than anybody writes, and few enough to be read quickly. */
const MOST_MARKS = 5_000;
const richTextSchema = z
  .string()
  .max(200_000, 'The description is too long.')
  .refine(
    (html) => html.split('<').length <= MOST_MARKS,
    'The description has too many formats, links and pictures in it.',
  );

const address = { form: 'address', optional: true } as const;
const search = { audience: 'shoppers', copied: 'search' } as const;
const prices = { audience: 'shoppers', copied: 'prices' } as const;
const delivery = { audience: 'shoppers', copied: 'delivery', part: 'delivery', inSheet: true } as const;

/** The fields of a product. docs/adding.md says what else a new one needs. */
export const productFields = declare({
  kind: { stored: productKindSchema, audience: 'shoppers', words: 'kind', column: 'plain' },
  title: {
    stored: translatable(z.string(), 'title'),
    typed: titleSchema,
    audience: 'shoppers',
    words: 'title',
    column: 'plain',
    makers: 'propose',
    inSheet: true,
  },
  summary: {
    stored: translatable(z.string(), 'summary'),
    typed: z.string().max(500, 'A summary can have at most 500 characters.'),
    audience: 'shoppers',
    words: 'summary',
    column: 'plain',
    makers: 'propose',
    inSheet: true,
  },
  /** sanitised HTML */
  description: {
    stored: translatable(z.string(), 'description', { form: 'html' }),
    typed: richTextSchema,
    audience: 'shoppers',
    words: 'description',
    column: 'plain',
    makers: 'propose',
  },
  slug: {
    stored: translatable(slugSchema, 'address', address),
    audience: 'shoppers',
    words: 'address',
    column: 'plain',
  },
  status: {
    stored: statusSchema,
    audience: 'shoppers',
    words: 'standing',
    column: 'plain',
    inSheet: true,
    told: 'status',
  },
  featured: { stored: z.boolean(), audience: 'shoppers', words: 'featured', column: 'flag', inSheet: true },
  /** place among featured products: lower stands further in front */
  featuredPlace: {
    stored: z.number().int(),
    typed: null,
    usual: 0,
    audience: 'shoppers',
    words: 'place among featured ones',
    column: 'plain',
    told: 'not at all',
  },
  brandId: {
    stored: idSchema.nullable(),
    audience: 'shoppers',
    words: 'brand',
    column: 'plain',
    copied: 'belongs',
    inSheet: true,
    told: 'brand',
  },
  /** the first is the main one */
  categoryIds: {
    stored: z.array(idSchema),
    typed: z.array(idSchema).max(50, 'A product can be in at most 50 categories.'),
    audience: 'shoppers',
    words: 'categories',
    column: 'own table',
    inSheet: true,
  },
  tagIds: {
    stored: z.array(idSchema),
    typed: z.array(idSchema).max(100, 'A product can have at most 100 tags.'),
    audience: 'shoppers',
    words: 'tags',
    column: 'own table',
    inSheet: true,
  },
  /** combinations of option values that are not sold */
  excludedCombinations: {
    stored: z.array(z.array(idSchema)),
    typed: null,
    usual: [],
    audience: 'shoppers',
    words: 'combinations left out',
    column: 'json',
  },
  /** between these the sale prices hold; open where null */
  saleFrom: {
    ...prices,
    stored: momentSchema,
    usual: null,
    words: 'beginning of the sale',
    column: 'plain',
    told: 'moment',
  },
  saleUntil: {
    ...prices,
    stored: momentSchema,
    usual: null,
    words: 'end of the sale',
    column: 'plain',
    told: 'moment',
  },
  /** in rising order */
  quantityPrices: {
    ...prices,
    stored: z.array(quantityPriceSchema),
    typed: z.array(quantityPriceSchema).max(12, 'At most 12 quantity prices.'),
    usual: [],
    words: 'quantity prices',
    column: 'json',
  },
  unitPricing: {
    ...prices,
    stored: unitPricingSchema.nullable(),
    usual: null,
    words: 'unit price',
    column: 'plain',
  },
  taxClass: {
    ...prices,
    stored: taxClassSchema,
    usual: 'standard',
    words: 'tax class',
    column: 'plain',
    inSheet: true,
  },
  priceOnRequest: { ...prices, stored: z.boolean(), usual: false, words: 'price on request', column: 'flag' },
  hidePriceWhenSoldOut: {
    ...prices,
    stored: z.boolean(),
    usual: false,
    words: 'price when sold out',
    column: 'flag',
  },
  whenSoldOut: {
    stored: whenSoldOutSchema,
    usual: 'keep',
    audience: 'shoppers',
    words: 'what happens when sold out',
    column: 'plain',
  },
  /** what shoppers read when it can be ordered although sold out */
  orderDelay: {
    stored: translatable(z.string(), 'order delay'),
    typed: text(120),
    usual: '',
    audience: 'shoppers',
    words: 'order delay',
    column: 'plain',
  },
  weight: { ...delivery, stored: weightSchema, usual: null, words: 'weight', column: 'plain', told: 'weight' },
  size: { ...delivery, stored: packageSizeSchema.nullable(), usual: null, words: 'package size', column: 'json' },
  packageType: {
    ...delivery,
    stored: translatable(packageTypeSchema, 'package'),
    usual: '',
    words: 'package',
    column: 'plain',
  },
  dispatchDays: { ...delivery, stored: dispatchDaysSchema, usual: null, words: 'days to dispatch', column: 'plain' },
  duration: {
    stored: durationSchema,
    usual: null,
    audience: 'shoppers',
    words: 'duration',
    column: 'plain',
    part: 'duration',
  },
  ownValue: {
    stored: ownValueSchema,
    usual: null,
    audience: 'shoppers',
    words: 'value that shoppers choose',
    column: 'json',
    part: 'ownValue',
  },
  /** what a bundle is made of; null for other kinds */
  bundle: {
    stored: bundleSchema.nullable(),
    usual: null,
    audience: 'shoppers',
    words: 'what is in it',
    column: 'json',
    part: 'slots',
  },
  files: {
    stored: z.array(productFileSchema),
    typed: z.array(productFileSchema).max(MAX_FILES, `At most ${MAX_FILES} files.`),
    usual: [],
    audience: 'shoppers',
    words: 'files',
    column: 'json',
    part: 'downloads',
  },
  downloadLimit: {
    stored: downloadLimitSchema,
    usual: null,
    audience: 'shoppers',
    words: 'download limit',
    column: 'plain',
    part: 'downloads',
  },
  downloadDays: {
    stored: downloadDaysSchema,
    usual: null,
    audience: 'shoppers',
    words: 'days to download',
    column: 'plain',
    part: 'downloads',
  },
  supplier: {
    stored: z.string(),
    typed: text(120),
    usual: '',
    audience: 'rules',
    words: 'supplier',
    column: 'plain',
    copied: 'belongs',
    inSheet: true,
  },
  /** '' for what is made from title and summary */
  metaTitle: {
    stored: translatable(z.string(), 'meta title'),
    typed: text(200),
    usual: '',
    audience: 'shoppers',
    words: 'meta title',
    column: 'plain',
    inSheet: true,
  },
  metaDescription: {
    stored: translatable(z.string(), 'meta description'),
    typed: text(500),
    usual: '',
    audience: 'shoppers',
    words: 'meta description',
    column: 'plain',
    inSheet: true,
  },
  /** kept out of search engines */
  noindex: { ...search, stored: z.boolean(), usual: false, words: 'search engines', column: 'flag', inSheet: true },
  ...liveDays,
  specSheetId: {
    stored: idSchema.nullable(),
    usual: null,
    audience: 'shoppers',
    words: 'spec sheet',
    column: 'plain',
    copied: 'specs',
    inSheet: true,
    told: 'spec sheet',
  },
  /** attribute id → value, in the form of its type: see spec-sheet.ts */
  specs: {
    stored: z.record(z.string(), specValueSchema),
    usual: {},
    audience: 'shoppers',
    words: 'specs',
    column: 'json',
    copied: 'specs',
    inSheet: true,
  },
  customFields: {
    stored: z.array(customFieldSchema),
    typed: z.array(customFieldSchema).max(40, 'At most 40 fields of its own.'),
    usual: [],
    audience: 'shoppers',
    words: 'own fields',
    column: 'json',
    copied: 'specs',
  },
});

const relation = { stored: relationSchema, audience: 'shoppers', column: 'json', copied: 'relations' } as const;

/** Which products stand beside it; columns of the product, and together under `relations` in it. */
export const relationFields = declare({
  goesWith: { ...relation, usual: { how: 'none' }, words: 'goes with' },
  stepUp: { ...relation, usual: { how: 'none' }, words: 'step up' },
  similar: { ...relation, usual: { how: 'sameCategory' }, words: 'similar' },
});

export type ProductFields = typeof productFields;
