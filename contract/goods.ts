import { z } from 'zod';
import { idSchema } from '../core/shared/identity';
import {
  fitSchema,
  focusSchema,
  moneySchema,
  productKindSchema,
  relationKinds,
  swatchSchema,
  titleSchema,
} from '../core/model/product-values';

import { fileRoleSchema } from '../core/model/product-file';

import { EMPTY_RULE, ruleSchema, type RuleNode } from '../core/model/rule';
import { ruleFieldSchema } from './rule-field';
import { changeWithDetailsSchema } from './history';
import { reasonSchema, ruleProblemSchema } from '../core/rules/answers';
import { MAX_OPTIONS, MAX_VARIANTS } from '../core/products/variants';
import {
  copiedPartSchema,
  productAnswerSchema,
  productFieldsSchema,
  shownStatusSchema,
  variantFieldsSchema,
} from './product';
import { route } from './route';
import { wasOf } from './was';

export const goodsRowSchema = z.object({
  id: z.string(),
  title: z.string(),
  brand: z.string().nullable(),
  variantCount: z.number().int(),
  thumbnail: z.string().nullable(),
  /** how the thumbnail stands in its frame */
  frame: z.object({ focus: focusSchema, fit: fitSchema, background: z.string() }).nullable(),
  shownStatus: shownStatusSchema,
  featured: z.boolean(),
  price: z.object({ min: z.number().int(), max: z.number().int() }),
  /** null when it is not counted */
  stock: z.number().int().nullable(),
  places: z.number().int(),
  margin: z.number().int().nullable(),
});
export type GoodsRow = z.infer<typeof goodsRowSchema>;

/** Which goods: those that a text finds and that a rule takes in; without conditions all. */
const matchingSchema = z.object({
  text: z.string().max(10_000).default(''),
  rule: ruleSchema.default(EMPTY_RULE),
});

const goodsQuerySchema = matchingSchema.extend({
  /** key of a field, after "-" from the highest down; '' for the best match, or the newest */
  sort: z.string().max(90).default(''),
  offset: z.number().int().min(0).default(0),
  limit: z.number().int().min(1).max(200).default(60),
  /** number fields whose distribution is wanted */
  open: z.array(z.string().max(80)).max(40).default([]),
  /** fields of which each row tells in words */
  columns: z.array(z.string().max(80)).max(30).default([]),
  need: z.enum(['all', 'rows']).default('all'),
});
export type GoodsQuery = z.infer<typeof goodsQuerySchema>;

/** One field that the goods can be narrowed by. `onVariant`: of the variant that a colour or a size was asked of. */
const goodsSectionSchema = z.discriminatedUnion('type', [
  z.object({
    type: z.literal('choice'),
    key: z.string(),
    label: z.string(),
    onVariant: z.boolean(),
    values: z.array(
      z.object({ value: z.string(), label: z.string(), count: z.number().int(), level: z.number().int() }),
    ),
  }),
  z.object({
    type: z.enum(['number', 'money', 'date']),
    key: z.string(),
    label: z.string(),
    onVariant: z.boolean(),
    unit: z.object({ words: z.string(), parts: z.number().int() }).nullable(),
    /** how many products lie between each two bounds; empty while not asked for */
    bounds: z.array(z.number()),
    counts: z.array(z.number().int()),
  }),
]);
export type GoodsSection = z.infer<typeof goodsSectionSchema>;

const ruleNodeSchema = z.custom<RuleNode>();

export const whyListedSchema = z.object({
  isIn: z.boolean(),
  reasons: z.array(reasonSchema.omit({ path: true })),
});

const seen = z.number().int().min(0);
const done = z.object({ ok: z.literal(true) });

export const goodsRoutes = {
  list: route({
    method: 'POST',
    path: '/api/goods/list',
    scope: 'goods',
    waits: false,
    summary: 'Products of the working copy, narrowed by text and rule and sorted, with counts of what is there',
    body: goodsQuerySchema,
    answer: z.object({
      total: z.number().int(),
      all: z.number().int(),
      rows: z.array(goodsRowSchema.extend({ cells: z.array(z.string()) })),
      sections: z.array(goodsSectionSchema),
      looseEnds: z.array(
        z.object({ key: z.string(), label: z.string(), count: z.number().int(), node: ruleNodeSchema }),
      ),
      sentence: z.string(),
      problems: z.array(ruleProblemSchema),
    }),
  }),
  matching: route({
    method: 'POST',
    path: '/api/goods/matching',
    waits: false,
    summary: 'Ids of all products that a text finds and a rule takes in',
    body: matchingSchema,
    answer: z.object({ ids: z.array(z.string()) }),
  }),
  fields: route({
    method: 'GET',
    path: '/api/goods/fields',
    scope: 'goods',
    summary: 'What the goods can be narrowed and sorted by',
    answer: z.object({ fields: z.array(ruleFieldSchema) }),
  }),
  why: route({
    method: 'POST',
    path: '/api/products/:id/why-listed',
    waits: false,
    summary: 'Why a product is among the goods of a rule, condition by condition',
    body: z.object({ rule: ruleSchema }),
    answer: whyListedSchema,
  }),
  create: route({
    method: 'POST',
    path: '/api/products',
    summary: 'Add a product',
    body: z.object({ title: titleSchema, kind: productKindSchema.default('physical'), price: moneySchema.default(0) }),
    answer: productAnswerSchema,
  }),
  get: route({
    method: 'GET',
    path: '/api/products/:id',
    scope: 'goods',
    summary: 'One product of the working copy',
    answer: productAnswerSchema,
  }),
  update: route({
    method: 'PATCH',
    path: '/api/products/:id',
    summary:
      'Change fields of a product; refused when somebody else changed one of them: from what `was` says, or since `seen` where it says nothing',
    body: z.object({
      seen,
      fields: productFieldsSchema,
      was: wasOf(productFieldsSchema.shape),
      /** another kind is meant, though it loses something */
      confirmed: z.boolean().default(false),
    }),
    answer: productAnswerSchema,
  }),
  setOptions: route({
    method: 'PUT',
    path: '/api/products/:id/options',
    summary: 'Set the options of a product; variants follow. Asks before variants with SKU, stock or sale price go',
    body: z.object({
      seen,
      options: z
        .array(
          z.object({
            id: idSchema.nullable(),
            name: z.string().max(80, 'At most 80 characters.'),
            listId: idSchema.nullable().default(null),
            values: z
              .array(
                z.object({
                  id: idSchema.nullable(),
                  name: z.string().max(80, 'At most 80 characters.'),
                  swatch: swatchSchema,
                  pictureId: idSchema.nullable().default(null),
                }),
              )
              .max(MAX_VARIANTS, `An option can have at most ${MAX_VARIANTS} values.`),
          }),
        )
        .max(MAX_OPTIONS, `A product can have at most ${MAX_OPTIONS} options.`),
      /** combinations that get no variant, as lists of value ids; as before when absent */
      excludedCombinations: z.array(z.array(idSchema).max(3)).max(500).optional(),
      /** values that go, each with the one that gets its stock and codes */
      merge: z
        .array(z.object({ from: idSchema, into: idSchema }))
        .max(100)
        .default([]),
      /** drop variants even though they hold work */
      confirmed: z.boolean().default(false),
    }),
    answer: productAnswerSchema,
  }),
  setVariants: route({
    method: 'PATCH',
    path: '/api/products/:id/variants',
    summary: 'Change fields of variants',
    body: z.object({
      seen,
      changes: z
        .array(z.object({ id: idSchema, fields: variantFieldsSchema, was: wasOf(variantFieldsSchema.shape) }))
        .min(1)
        .max(500),
    }),
    answer: productAnswerSchema,
  }),
  addPictures: route({
    method: 'POST',
    path: '/api/products/:id/pictures',
    summary: 'Upload pictures to the end of a product’s pictures, or one in the place of another',
    query: z.object({ replace: idSchema.optional() }),
    files: true,
    answer: productAnswerSchema.extend({
      refused: z.array(z.object({ file: z.string(), message: z.string() })),
    }),
  }),
  addFile: route({
    method: 'POST',
    path: '/api/products/:id/files',
    summary: 'Upload a file of up to 300 MB: a download for buyers, a sample, or a manual',
    query: z.object({ role: fileRoleSchema }),
    files: true,
    answer: productAnswerSchema,
  }),
  setPictures: route({
    method: 'PUT',
    path: '/api/products/:id/pictures',
    summary: 'Order pictures, change their alt text, focus and fit; those left out are removed',
    body: z.object({
      seen,
      pictures: z
        .array(
          z.object({
            id: idSchema,
            alt: z.string().max(300, 'At most 300 characters.'),
            focus: focusSchema,
            fit: fitSchema,
          }),
        )
        .max(200),
    }),
    answer: productAnswerSchema,
  }),
  feature: route({
    method: 'POST',
    path: '/api/goods/featured',
    summary: 'Feature products, behind those that are already, or end featuring them',
    body: z.object({ ids: z.array(idSchema).min(1).max(5_000), featured: z.boolean() }),
    answer: done,
  }),
  featured: route({
    method: 'GET',
    path: '/api/goods/featured',
    summary: 'Featured products in their order',
    answer: z.object({ rows: z.array(goodsRowSchema) }),
  }),
  orderFeatured: route({
    method: 'PUT',
    path: '/api/goods/featured',
    summary: 'Put featured products in order',
    body: z.object({ ids: z.array(idSchema).max(5_000) }),
    answer: done,
  }),
  copy: route({
    method: 'POST',
    path: '/api/products/:id/copy',
    summary: 'A draft with everything of a product but its SKUs, barcodes, stock and address',
    answer: productAnswerSchema,
  }),
  relateBack: route({
    method: 'POST',
    path: '/api/products/:id/relate-back',
    summary: 'Let another product lead to this one too, in the same kind of relation',
    body: z.object({ kind: z.enum(relationKinds), to: idSchema }),
    answer: done,
  }),
  copyParts: route({
    method: 'POST',
    path: '/api/products/:id/copy-parts',
    summary: 'Give parts of a product to other products, in one change',
    body: z.object({
      to: z.array(idSchema).min(1, 'Choose at least one product.').max(5_000),
      parts: z.array(copiedPartSchema).min(1, 'Choose at least one part.'),
    }),
    answer: z.object({
      changed: z.number().int(),
      /** products that keep their options, and why */
      kept: z.array(z.object({ title: z.string(), reason: z.string() })),
    }),
  }),
  remove: route({
    method: 'DELETE',
    path: '/api/products/:id',
    summary: 'Delete a product (can be undone)',
    answer: done,
  }),
  memberships: route({
    method: 'GET',
    path: '/api/products/:id/memberships',
    summary: 'Which collections a product is in, and for those filled by rule why or why not',
    answer: z.object({
      collections: z.array(
        z.object({
          id: z.string(),
          name: z.string(),
          source: z.enum(['picked', 'rule']),
          isIn: z.boolean(),
          /** only of those filled by rule */
          reasons: z.array(reasonSchema),
          /** fewest conditions that stand in its way; null when its rule can take in nothing */
          missing: z.number().int().nullable(),
        }),
      ),
    }),
  }),
  history: route({
    method: 'GET',
    path: '/api/products/:id/history',
    summary: 'What was changed on a product, newest first',
    answer: z.object({ changes: z.array(changeWithDetailsSchema) }),
  }),
};
