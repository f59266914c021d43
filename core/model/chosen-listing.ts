import { z } from 'zod';
import { idSchema, slugSchema } from '../shared/identity';
import { groupNameSchema, groupPictureSchema } from './group-fields';
import { groupTargetSchema } from './target';
import { translatable } from './translatable';

/** Filters whose values are groups: kept by id, since addresses of groups change. */
export const keptById = ['category', 'brand'] as const;

/** A listing narrowed by filters that search engines may show: it has an address and words of its own. */
export const chosenListingSchema = z.strictObject({
  id: idSchema,
  /** the group that is narrowed; null for all goods */
  at: groupTargetSchema.nullable(),
  /** which values of which filters are chosen, by the keys in addresses */
  choices: z
    .array(
      z.strictObject({ key: z.string().min(1).max(120), values: z.array(z.string().min(1).max(120)).min(1).max(20) }),
    )
    .min(1, 'Choose at least one filter.')
    .max(6, 'At most six filters.'),
  slug: translatable(slugSchema, 'address', { form: 'address', optional: true }),
  title: translatable(groupNameSchema, 'title'),
  text: translatable(z.string().trim().max(2_000, 'At most 2,000 characters.'), 'text'),
  metaTitle: translatable(z.string().trim().max(120, 'At most 120 characters.'), 'meta title'),
  metaDescription: translatable(z.string().trim().max(320, 'At most 320 characters.'), 'meta description'),
  picture: groupPictureSchema.nullable(),
});
export type ChosenListing = z.infer<typeof chosenListingSchema>;

/** First part of the address of a chosen listing. */
export const CHOSEN_PATH = 'l';
