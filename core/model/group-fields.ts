import { z } from 'zod';
import { idSchema, slugSchema } from '../shared/identity';
import { declare } from './fields';
import { liveDays } from './live-days';
import { FEATURED_FIRST, orderSchema } from './order';
import { ruleSchema } from './rule';
import { translatable } from './translatable';

export const groupNameSchema = z
  .string()
  .trim()
  .min(1, 'A name is needed.')
  .max(120, 'A name can have at most 120 characters.');

/** A picture of a group: a medium by its hash, see server/media. */
export const groupPictureSchema = z.strictObject({
  media: z.string().regex(/^[0-9a-f]{32}$/),
  width: z.number().int().positive(),
  height: z.number().int().positive(),
  alt: translatable(z.string().max(300, 'At most 300 characters.'), 'alt text'),
});

/** Whether shoppers meet the group itself. */
const groupStatusSchema = z.enum(['live', 'off']);

/** Most goods that can be pinned, left out or put in an own order. */
export const MOST_PLACED = 5_000;
const productIds = z.array(idSchema).max(MOST_PLACED, `At most ${MOST_PLACED} goods.`);
const noIds: string[] = [];

const sizeSchema = z
  .number({ error: 'Type a whole number.' })
  .int('Type a whole number.')
  .min(0, 'A size cannot be below zero.')
  .max(100_000, 'At most 100,000.')
  .nullable();

/** What every group has, and what it says on its own page of the shop and to search engines. */
const pageFields = declare({
  name: {
    stored: translatable(z.string(), 'name'),
    typed: groupNameSchema,
    audience: 'shoppers',
    words: 'name',
    column: 'plain',
  },
  slug: {
    stored: translatable(slugSchema, 'address', { form: 'address', optional: true }),
    audience: 'shoppers',
    words: 'address',
    column: 'plain',
  },
  text: {
    stored: translatable(z.string().max(2_000, 'At most 2000 characters.'), 'text'),
    usual: '',
    audience: 'shoppers',
    words: 'text',
    column: 'plain',
  },
  /** uploaded by itself; null, which takes it away, is all that can be written */
  picture: {
    stored: groupPictureSchema.nullable(),
    typed: z.null(),
    usual: null,
    audience: 'shoppers',
    words: 'picture',
    column: 'json',
  },
  metaTitle: {
    stored: translatable(z.string().max(120, 'At most 120 characters.'), 'meta title'),
    usual: '',
    audience: 'shoppers',
    words: 'meta title',
    column: 'plain',
  },
  metaDescription: {
    stored: translatable(z.string().max(320, 'At most 320 characters.'), 'meta description'),
    usual: '',
    audience: 'shoppers',
    words: 'meta description',
    column: 'plain',
  },
  noindex: {
    stored: z.boolean(),
    usual: false,
    audience: 'shoppers',
    words: 'choice about search engines',
    column: 'flag',
  },
});

/** How a group stands on the shop, and in what order its goods do. */
const arrangedFields = declare({
  status: {
    stored: groupStatusSchema,
    usual: 'live',
    audience: 'shoppers',
    words: 'standing',
    column: 'plain',
    told: 'status',
  },
  /** stand first, in this order; in a collection filled by rule, of those that the rule takes in */
  pins: {
    stored: productIds,
    usual: noIds,
    audience: 'shoppers',
    words: 'list of pinned goods',
    column: 'json',
    told: 'products',
  },
});
const orderField = {
  stored: orderSchema,
  audience: 'shoppers',
  words: 'order',
  column: 'order',
  told: 'order',
} as const;

/** The fields of a category. docs/adding.md says what else a new one needs. */
export const categoryFields = declare({
  ...pageFields,
  parentId: { stored: idSchema.nullable(), audience: 'shoppers', words: 'parent', column: 'plain', told: 'category' },
  /** among its siblings */
  position: {
    stored: z.number().int(),
    typed: null,
    audience: 'shoppers',
    words: 'place',
    column: 'plain',
    told: 'not at all',
  },
  ...arrangedFields,
  order: { ...orderField, usual: FEATURED_FIRST },
  /** suggested to products that are put into it */
  specSheetId: {
    stored: idSchema.nullable(),
    usual: null,
    audience: 'seller',
    words: 'spec sheet',
    column: 'plain',
    told: 'spec sheet',
  },
});

/** The fields of a collection. */
export const collectionFields = declare({
  ...pageFields,
  source: {
    stored: z.enum(['picked', 'rule']),
    typed: null,
    audience: 'shoppers',
    words: 'source',
    column: 'plain',
    told: 'source',
  },
  /** product ids in order, for a picked collection */
  picked: { stored: productIds, audience: 'shoppers', words: 'list of goods', column: 'own table', told: 'products' },
  rule: { stored: ruleSchema, audience: 'shoppers', words: 'rule', column: 'json', told: 'rule' },
  ...arrangedFields,
  order: orderField,
  /** not in, although the rule takes them in */
  leftOut: {
    stored: productIds,
    usual: noIds,
    audience: 'shoppers',
    words: 'list of goods left out',
    column: 'json',
    told: 'products',
  },
  ...liveDays,
  /** sizes beyond which the seller wants to be warned */
  fewest: { stored: sizeSchema, usual: null, audience: 'seller', words: 'smallest size', column: 'plain' },
  most: { stored: sizeSchema, usual: null, audience: 'seller', words: 'largest size', column: 'plain' },
});

/** The fields of a brand, and of a tag. */
export const namedFields = declare({
  ...pageFields,
  /** it has a page of the shop */
  listed: {
    stored: z.boolean(),
    usual: false,
    audience: 'shoppers',
    words: 'choice of a page of its own',
    column: 'flag',
  },
});

/** The fields of every kind of group. */
export const groupFields = {
  category: categoryFields,
  collection: collectionFields,
  brand: namedFields,
  tag: namedFields,
};
