import { z } from 'zod';
import { typedShape } from '../core/model/fields';
import { brandSchema, categorySchema, collectionSchema } from '../core/model/group';
import { categoryFields, collectionFields, groupNameSchema, namedFields } from '../core/model/group-fields';
import { EMPTY_RULE, ruleSchema } from '../core/model/rule';
import { useSchema } from '../core/storefront/views';
import { ruleProblemSchema } from '../core/rules/answers';
import { idSchema } from '../core/shared/identity';
import { goodsRowSchema } from './goods';
import { route } from './route';
import { wasOf } from './was';

const done = z.object({ ok: z.literal(true) });
const ids = z.array(idSchema).min(1).max(5_000);
const count = z.number().int();

/** Where a group is in its life. new: not live yet; changed: since it was put live. */
const groupShownStatusSchema = z.enum(['live', 'changed', 'new', 'waiting', 'ended', 'off']);
export type GroupShownStatus = z.infer<typeof groupShownStatusSchema>;

const shared = {
  shownStatus: groupShownStatusSchema,
  /** pages and menus that lead to it */
  ways: z.array(z.string()),
};

/** A collection as its shelf says it, without its goods. */
const shelfHeadSchema = collectionSchema.extend({
  ...shared,
  total: count,
  sentence: z.string(),
  /** its order in words; '' for one picked by hand */
  orderWords: z.string(),
  problems: z.array(ruleProblemSchema),
  /** that it has become too small, too large, or empty */
  warning: z.string(),
});
export type ShelfHead = z.infer<typeof shelfHeadSchema>;

const shelfSchema = shelfHeadSchema.extend({
  /** the first goods, in order */
  goods: z.array(goodsRowSchema),
});
export type Shelf = z.infer<typeof shelfSchema>;

const categoryRowSchema = categorySchema.extend({
  ...shared,
  level: count,
  /** products in it and below it; live ones count, and so do drafts */
  count,
  /** products in it itself */
  own: count,
});
export type CategoryRow = z.infer<typeof categoryRowSchema>;

const namedRowSchema = brandSchema.extend({ ...shared, count });
export type NamedRow = z.infer<typeof namedRowSchema>;

const namedKindSchema = z.enum(['brand', 'tag']);

const alt = z.string().max(300, 'At most 300 characters.');
const categoryBody = z.object({ ...typedShape(categoryFields), alt, place: z.number().int().min(0) });
const collectionBody = z.object({ ...typedShape(collectionFields), alt });
const namedBody = z.object({ ...typedShape(namedFields), alt });

export const groupRoutes = {
  uses: route({
    method: 'GET',
    path: '/api/uses/:kind/:id',
    summary: 'What names a group or a page, and would lead nowhere or take in nothing without it',
    answer: z.object({ total: z.number().int(), uses: z.array(useSchema) }),
  }),
  overview: route({
    method: 'GET',
    path: '/api/groups',
    scope: 'groups',
    summary: 'Category tree, heads of all collections, brands and tags, and names that look like one written twice',
    answer: z.object({
      categories: z.array(categoryRowSchema),
      uncategorised: count,
      shelves: z.array(shelfHeadSchema),
      brands: z.array(namedRowSchema),
      tags: z.array(namedRowSchema),
      near: z.array(z.object({ kind: namedKindSchema, a: z.string(), b: z.string() })),
    }),
  }),
  createCategory: route({
    method: 'POST',
    path: '/api/categories',
    summary: 'Add a category; `place` is its index among its siblings, at their end when absent',
    body: z.object({
      name: groupNameSchema,
      parentId: idSchema.nullable().default(null),
      place: z.number().int().min(0).optional(),
    }),
    answer: categorySchema,
  }),
  category: route({
    method: 'GET',
    path: '/api/categories/:id',
    scope: 'groups',
    summary: 'One category with its goods, in its order',
    answer: z.object({
      category: categoryRowSchema,
      goods: z.array(goodsRowSchema),
      orderWords: z.string(),
      /** products in it and below it without a spec sheet */
      withoutSheet: count,
    }),
  }),
  updateCategory: route({
    method: 'PATCH',
    path: '/api/categories/:id',
    summary: 'Change or move a category; `place` is its index among its new siblings',
    body: categoryBody
      .extend({ was: wasOf(categoryBody.shape) })
      .partial()
      .strict(),
    answer: categorySchema,
  }),
  mergeCategory: route({
    method: 'POST',
    path: '/api/categories/:id/merge',
    summary: 'Put a category into another: its products, what is below it, rules, links and addresses go over',
    body: z.object({ into: idSchema }),
    answer: done,
  }),
  deleteCategory: route({
    method: 'DELETE',
    path: '/api/categories/:id',
    summary: 'Delete a category and those below it; its products move to its parent, to another category, or leave',
    query: z.object({ products: z.enum(['toParent', 'toOther', 'leave']), other: idSchema.optional() }),
    answer: done,
  }),
  addToCategory: route({
    method: 'POST',
    path: '/api/categories/:id/products',
    summary: 'Put products into a category',
    body: z.object({ ids }),
    answer: z.object({ added: count }),
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
    summary: 'Change a collection; lists of products are whole, in order. A rule with problems is refused',
    body: collectionBody
      .extend({ was: wasOf(collectionBody.shape) })
      .partial()
      .strict(),
    answer: shelfSchema,
  }),
  copyCollection: route({
    method: 'POST',
    path: '/api/collections/:id/copy',
    summary: 'Add a collection like this one',
    answer: shelfSchema,
  }),
  fillCollection: route({
    method: 'POST',
    path: '/api/collections/:id/fill',
    summary: 'Freeze what the rule takes in now into a list picked by hand, or let the rule fill it again',
    body: z.object({ source: z.enum(['picked', 'rule']) }),
    answer: shelfSchema,
  }),
  orderCollections: route({
    method: 'PUT',
    path: '/api/collections',
    summary: 'Put the shelves in order',
    body: z.object({ ids }),
    answer: done,
  }),
  addToCollection: route({
    method: 'POST',
    path: '/api/collections/:id/products',
    summary: 'Put products at the end of a collection picked by hand, or pin them in one filled by rule',
    body: z.object({ ids }),
    answer: z.object({ added: count }),
  }),
  collection: route({
    method: 'GET',
    path: '/api/collections/:id',
    scope: 'groups',
    summary: 'One collection with its first goods',
    query: z.object({ limit: z.coerce.number().int().min(1).max(500).default(500) }),
    answer: shelfSchema,
  }),
  deleteCollection: route({
    method: 'DELETE',
    path: '/api/collections/:id',
    summary: 'Delete a collection',
    answer: done,
  }),
  overlap: route({
    method: 'GET',
    path: '/api/overlap',
    summary: 'Which collections share how many goods, and in how many collections goods are',
    answer: z.object({
      collections: z.array(z.object({ id: z.string(), name: z.string(), count })),
      /** those that share most; `a` and `b` are places in `collections` */
      pairs: z.array(z.object({ a: count, b: count, shared: count })),
      /** products by the number of collections they are in, from 0 on */
      spread: z.array(count),
      /** in none, and in very many */
      none: z.array(goodsRowSchema),
      many: z.array(goodsRowSchema.extend({ collections: count })),
    }),
  }),
  addPicture: route({
    method: 'POST',
    path: '/api/groups/:kind/:id/picture',
    summary: 'Upload the picture of a category, collection, brand or tag',
    files: true,
    answer: done,
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
    answer: brandSchema,
  }),
  updateNamed: route({
    method: 'PATCH',
    path: '/api/named/:kind/:id',
    summary: 'Change a brand or a tag (kind: brand, tag)',
    body: namedBody
      .extend({ was: wasOf(namedBody.shape) })
      .partial()
      .strict(),
    answer: brandSchema,
  }),
  mergeNamed: route({
    method: 'POST',
    path: '/api/named/:kind/:id/merge',
    summary: 'Put a brand or a tag into another: its products, rules, links and address go over',
    body: z.object({ into: idSchema }),
    answer: z.object({ moved: count }),
  }),
  deleteNamed: route({
    method: 'DELETE',
    path: '/api/named/:kind/:id',
    summary: 'Delete a brand or a tag; its products stay',
    answer: done,
  }),
};
