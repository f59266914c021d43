import { z } from 'zod';
import {
  categorySchema,
  brandSchema,
  collectionSchema,
  collectionSortSchema,
  groupNameSchema,
  tagSchema,
} from '../core/catalog/group';
import { idSchema, slugSchema } from '../core/catalog/identity';
import { EMPTY_RULE, ruleSchema } from '../core/rules/rule';
import { goodsRowSchema } from './goods';
import { route } from './route';
import { ruleFieldSchema } from './rule-field';

const text = z.string().max(2_000, 'At most 2000 characters.');
const done = z.object({ ok: z.literal(true) });

export const ruleProblemSchema = z.object({ path: z.array(z.number().int()), message: z.string() });

export const shelfSchema = collectionSchema.extend({
  total: z.number().int(),
  /** the first goods, in order */
  goods: z.array(goodsRowSchema),
  sentence: z.string(),
  problems: z.array(ruleProblemSchema),
  /** pages and menus that lead to it */
  ways: z.array(z.string()),
});
export type Shelf = z.infer<typeof shelfSchema>;

export const categoryRowSchema = categorySchema.extend({
  level: z.number().int(),
  /** products in it and below it; live ones count, and so do drafts */
  count: z.number().int(),
  ways: z.array(z.string()),
});
export type CategoryRow = z.infer<typeof categoryRowSchema>;

export const groupRoutes = {
  overview: route({
    method: 'GET',
    path: '/api/groups',
    summary: 'Category tree, collections as shelves, brands and tags',
    answer: z.object({
      categories: z.array(categoryRowSchema),
      uncategorised: z.number().int(),
      shelves: z.array(shelfSchema),
      brands: z.array(brandSchema.extend({ count: z.number().int() })),
      tags: z.array(tagSchema.extend({ count: z.number().int() })),
    }),
  }),
  createCategory: route({
    method: 'POST',
    path: '/api/categories',
    summary: 'Add a category at the end of its siblings',
    body: z.object({ name: groupNameSchema, parentId: idSchema.nullable() }),
    answer: categorySchema,
  }),
  updateCategory: route({
    method: 'PATCH',
    path: '/api/categories/:id',
    summary: 'Rename, describe or move a category; `place` is its index among its new siblings',
    body: z
      .strictObject({
        name: groupNameSchema,
        slug: slugSchema,
        text,
        parentId: idSchema.nullable(),
        place: z.number().int().min(0),
      })
      .partial(),
    answer: categorySchema,
  }),
  deleteCategory: route({
    method: 'DELETE',
    path: '/api/categories/:id',
    summary: 'Delete a category and those below it; its products move to its parent or leave',
    query: z.object({ products: z.enum(['toParent', 'leave']) }),
    answer: done,
  }),
  addToCategory: route({
    method: 'POST',
    path: '/api/categories/:id/products',
    summary: 'Put products into a category',
    body: z.object({ ids: z.array(idSchema).min(1).max(5_000) }),
    answer: z.object({ added: z.number().int() }),
  }),
  createCollection: route({
    method: 'POST',
    path: '/api/collections',
    summary: 'Add a collection',
    body: z.object({
      name: groupNameSchema,
      source: z.enum(['picked', 'rule']),
      picked: z.array(idSchema).max(5_000).default([]),
      /** what fills it; for a collection filled by rule */
      rule: ruleSchema.default(EMPTY_RULE),
    }),
    answer: shelfSchema,
  }),
  updateCollection: route({
    method: 'PATCH',
    path: '/api/collections/:id',
    summary: 'Change a collection; `picked` is the whole list in order. A rule with problems is refused',
    body: z
      .strictObject({
        name: groupNameSchema,
        slug: slugSchema,
        text,
        picked: z.array(idSchema).max(5_000),
        rule: ruleSchema,
        sort: collectionSortSchema,
      })
      .partial(),
    answer: shelfSchema,
  }),
  addToCollection: route({
    method: 'POST',
    path: '/api/collections/:id/products',
    summary: 'Put products at the end of a collection picked by hand',
    body: z.object({ ids: z.array(idSchema).min(1).max(5_000) }),
    answer: z.object({ added: z.number().int() }),
  }),
  collection: route({
    method: 'GET',
    path: '/api/collections/:id',
    summary: 'One collection with all its goods',
    answer: shelfSchema,
  }),
  deleteCollection: route({
    method: 'DELETE',
    path: '/api/collections/:id',
    summary: 'Delete a collection',
    answer: done,
  }),
  fields: route({
    method: 'GET',
    path: '/api/rule-fields',
    summary: 'What rules can ask about',
    answer: z.object({ fields: z.array(ruleFieldSchema) }),
  }),
  tryRule: route({
    method: 'POST',
    path: '/api/rules/try',
    waits: false,
    summary: 'Who a rule would take in, without saving it',
    body: z.object({ rule: ruleSchema, sort: collectionSortSchema.default('newest') }),
    answer: z.object({
      total: z.number().int(),
      goods: z.array(goodsRowSchema),
      counts: z.array(z.object({ path: z.array(z.number().int()), count: z.number().int() })),
      sentence: z.string(),
      problems: z.array(ruleProblemSchema),
    }),
  }),
  createBrand: route({
    method: 'POST',
    path: '/api/brands',
    summary: 'Add a brand, or answer the one of that name',
    body: z.object({ name: groupNameSchema }),
    answer: brandSchema,
  }),
  createTag: route({
    method: 'POST',
    path: '/api/tags',
    summary: 'Add a tag, or answer the one of that name',
    body: z.object({ name: groupNameSchema }),
    answer: tagSchema,
  }),
  deleteBrand: route({ method: 'DELETE', path: '/api/brands/:id', summary: 'Delete a brand', answer: done }),
  deleteTag: route({ method: 'DELETE', path: '/api/tags/:id', summary: 'Delete a tag', answer: done }),
};
