import { z } from 'zod';
import { collectionSchema } from '../core/model/group';
import { idSchema } from '../core/shared/identity';
import { NEWEST_FIRST } from '../core/model/order';
import { ruleSchema } from '../core/model/rule';
import { goodsRowSchema, whyListedSchema } from './goods';
import { ruleProblemSchema } from '../core/rules/answers';
import { route } from './route';
import { ruleFieldSchema } from './rule-field';

const count = z.number().int();
const someGoods = z.object({ total: count, goods: z.array(goodsRowSchema) });

export const ruleRoutes = {
  fields: route({
    method: 'GET',
    path: '/api/rule-fields',
    summary:
      'What rules can ask about, with how many listed products have each value, and what goods can be ordered by',
    answer: z.object({
      fields: z.array(ruleFieldSchema),
      orders: z.array(z.object({ by: z.string(), label: z.string() })),
    }),
  }),
  try: route({
    method: 'POST',
    path: '/api/rules/try',
    waits: false,
    summary: 'Who a rule would take in, what each condition does, and who it just misses, without saving it',
    body: z.object({
      rule: ruleSchema,
      order: collectionSchema.shape.order.default(NEWEST_FIRST),
      pins: z.array(idSchema).max(5_000).default([]),
      leftOut: z.array(idSchema).max(5_000).default([]),
      /** the collection that it is to fill: then who joins and leaves it is told, and circles are */
      collectionId: idSchema.nullable().default(null),
    }),
    answer: someGoods.extend({
      /**
       * for each condition, group and variant group: products that pass so far, and how many more there would be without it
       * (below zero: fewer)
       */
      parts: z.array(z.object({ path: z.array(count), soFar: count, alone: count })),
      sentence: z.string(),
      orderWords: z.string(),
      problems: z.array(ruleProblemSchema),
      /** against the live edition; null while it is for no collection */
      joins: someGoods.nullable(),
      leaves: someGoods.nullable(),
      nearMisses: z.object({ total: count, goods: z.array(goodsRowSchema.extend({ lacks: z.array(z.string()) })) }),
      leftOut: z.array(goodsRowSchema),
    }),
  }),
  why: route({
    method: 'POST',
    path: '/api/rules/why',
    waits: false,
    summary: 'Why a rule takes a product in, or does not, condition by condition',
    body: z.object({
      rule: ruleSchema,
      productId: idSchema,
      leftOut: z.array(idSchema).max(5_000).default([]),
    }),
    answer: whyListedSchema.extend({
      title: z.string(),
      /** what keeps it out though the rule takes it in: that it is a draft, or left out by hand; '' for nothing */
      although: z.string(),
      /** what alone would have to be otherwise */
      lacks: z.array(z.string()),
    }),
  }),
};
