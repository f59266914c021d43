import { z } from 'zod';
import { idSchema, slugSchema } from '../shared/identity';
import { ruleSchema } from './rule';
import { FEATURED_FIRST, orderSchema } from './order';
import { momentSchema } from './product-values';

export const groupNameSchema = z
  .string()
  .trim()
  .min(1, 'A name is needed.')
  .max(120, 'A name can have at most 120 characters.');

/** A picture of a group: a medium by its hash, see server/media. */
const groupPictureSchema = z.strictObject({
  media: z.string().regex(/^[0-9a-f]{32}$/),
  width: z.number().int().positive(),
  height: z.number().int().positive(),
  alt: z.string().max(300, 'At most 300 characters.'),
});
export type GroupPicture = z.infer<typeof groupPictureSchema>;

/** What a group says on its own page of the shop, and to search engines. */
export const groupPageSchema = z.object({
  text: z.string().max(2_000, 'At most 2000 characters.'),
  picture: groupPictureSchema.nullable(),
  metaTitle: z.string().max(120, 'At most 120 characters.'),
  metaDescription: z.string().max(320, 'At most 320 characters.'),
  noindex: z.boolean(),
});
export type GroupPage = z.infer<typeof groupPageSchema>;
const EMPTY_PAGE: GroupPage = { text: '', picture: null, metaTitle: '', metaDescription: '', noindex: false };

/** Whether shoppers meet the group itself. */
const groupStandingSchema = z.enum(['live', 'off']);

/** Most goods that can be pinned, left out or put in an own order. */
export const MOST_PLACED = 5_000;
const productIds = z.array(idSchema).max(MOST_PLACED, `At most ${MOST_PLACED} goods.`);

export const categorySchema = groupPageSchema.extend({
  id: idSchema,
  parentId: idSchema.nullable(),
  position: z.number().int(),
  name: z.string(),
  slug: slugSchema,
  standing: groupStandingSchema,
  /** suggested to products that are put into it */
  specSheetId: idSchema.nullable(),
  /** stand first, in this order */
  pins: productIds,
  order: orderSchema,
});
export type Category = z.infer<typeof categorySchema>;

const namedSchema = groupPageSchema.extend({
  id: idSchema,
  name: z.string(),
  slug: slugSchema,
  /** it has a page of the shop */
  listed: z.boolean(),
});
export const brandSchema = namedSchema;
export type Brand = z.infer<typeof brandSchema>;

export const tagSchema = namedSchema;
export type Tag = z.infer<typeof tagSchema>;

export const collectionSchema = groupPageSchema.extend({
  id: idSchema,
  name: z.string(),
  slug: slugSchema,
  source: z.enum(['picked', 'rule']),
  /** product ids in order, for a picked collection */
  picked: productIds,
  rule: ruleSchema,
  /** of those that the rule takes in, these stand first, in this order */
  pins: productIds,
  /** not in, although the rule takes them in */
  leftOut: productIds,
  order: orderSchema,
  standing: groupStandingSchema,
  liveFrom: momentSchema,
  liveUntil: momentSchema,
  /** sizes beyond which the seller wants to be warned */
  fewest: z.number().int().min(0).max(100_000).nullable(),
  most: z.number().int().min(0).max(100_000).nullable(),
});
export type Collection = z.infer<typeof collectionSchema>;

/** What groups have before anybody says otherwise; documents leave it out. */
export const categoryDefaults = {
  ...EMPTY_PAGE,
  standing: 'live' as const,
  specSheetId: null,
  pins: [] as string[],
  order: FEATURED_FIRST,
} satisfies Partial<Category>;

export const collectionDefaults = {
  ...EMPTY_PAGE,
  pins: [] as string[],
  leftOut: [] as string[],
  standing: 'live' as const,
  liveFrom: null,
  liveUntil: null,
  fewest: null,
  most: null,
} satisfies Partial<Collection>;

export const namedDefaults = { ...EMPTY_PAGE, listed: false } satisfies Partial<Brand>;
