import { z } from 'zod';
import { idSchema, slugSchema } from './identity';
import { ruleSchema } from '../rules/rule';

export const groupNameSchema = z
  .string()
  .trim()
  .min(1, 'A name is needed.')
  .max(120, 'A name can have at most 120 characters.');

export const categorySchema = z.object({
  id: idSchema,
  parentId: idSchema.nullable(),
  position: z.number().int(),
  name: z.string(),
  slug: slugSchema,
  text: z.string(),
});
export type Category = z.infer<typeof categorySchema>;

export const brandSchema = z.object({ id: idSchema, name: z.string(), slug: slugSchema });
export type Brand = z.infer<typeof brandSchema>;

export const tagSchema = z.object({ id: idSchema, name: z.string(), slug: slugSchema });
export type Tag = z.infer<typeof tagSchema>;

export const collectionSorts = ['featured', 'newest', 'price-up', 'price-down', 'title'] as const;
export const collectionSortSchema = z.enum(collectionSorts);
export type CollectionSort = z.infer<typeof collectionSortSchema>;

export const collectionSchema = z.object({
  id: idSchema,
  name: z.string(),
  slug: slugSchema,
  text: z.string(),
  source: z.enum(['picked', 'rule']),
  /** product ids in order, for a picked collection */
  picked: z.array(idSchema),
  rule: ruleSchema,
  sort: collectionSortSchema,
});
export type Collection = z.infer<typeof collectionSchema>;
