import { z } from 'zod';
import { proposalStates, proposedProductSchema, proposedSchema, proposedVariantSchema } from '../core/model/proposal';
import { supplierNameSchema, supplierSchema, supplySchema } from '../core/model/supplier';
import { route } from './route';
import { wasOf } from './was';

const whole = z.number().int();
const ok = z.object({ ok: z.literal(true) });

/** A variant of the shop, as a supplier knows it. */
const ofVariant = {
  productId: z.string(),
  title: z.string(),
  thumbnail: z.string().nullable(),
  variantId: z.string(),
  /** '' where the product has but one */
  variant: z.string(),
  sku: z.string(),
  number: z.string(),
};

/** What a supplier has of a variant of the shop. */
const supplyRowSchema = z.object({
  ...ofVariant,
  /** as a rule it is ordered here */
  isMain: z.boolean(),
  /** what a piece costs here today; null where it is not known */
  cost: whole.nullable(),
  costs: z.array(z.object({ from: z.string(), cost: whole })),
  stock: whole.nullable(),
});
export type SupplyAnswer = z.infer<typeof supplyRowSchema>;

const reorderLineSchema = z.object({
  ...ofVariant,
  stock: whole,
  /** pieces sold a week, over the days that are looked at */
  weekly: z.number(),
  /** days until it is gone: as likely sooner as later; null where nothing was sold */
  likely: z.number().nullable(),
  isDue: z.boolean(),
  pieces: whole,
  cost: whole.nullable(),
});
export type ReorderLine = z.infer<typeof reorderLineSchema>;

const proposalRowSchema = z.object({
  key: z.string(),
  of: z.enum(['product', 'variant', 'text']),
  field: z.string(),
  variantId: z.string().nullable(),
  locale: z.string().nullable(),
  label: z.string(),
  now: z.unknown(),
  will: z.unknown(),
  nowWords: z.string(),
  willWords: z.string(),
  isOutdated: z.boolean(),
});

export const proposalSchema = z.object({
  id: z.string(),
  supplier: z.string(),
  by: z.string(),
  /** null for a new product, and for one that is gone since */
  productId: z.string().nullable(),
  isNew: z.boolean(),
  /** the product was deleted since it was proposed */
  isGone: z.boolean(),
  title: z.string(),
  thumbnail: z.string().nullable(),
  rows: z.array(proposalRowSchema),
  pictures: z.array(z.string()),
  note: z.string(),
  state: z.enum(proposalStates),
  reply: z.string(),
  madeAt: z.string(),
  answeredAt: z.string().nullable(),
});
export type ProposalAnswer = z.infer<typeof proposalSchema>;

const someSupplierSchema = supplierSchema.omit({ id: true }).partial();

export const supplierRoutes = {
  suppliers: route({
    method: 'GET',
    path: '/api/suppliers',
    summary: 'Whom goods are ordered from, and names of suppliers of whom nothing else is known',
    answer: z.object({
      suppliers: z.array(supplierSchema.extend({ goods: whole, makers: z.array(z.string()) })),
      onlyNamed: z.array(z.object({ name: z.string(), goods: whole })),
    }),
  }),
  add: route({
    method: 'POST',
    path: '/api/suppliers',
    summary: 'Add a supplier; goods that name it are its own from then on',
    body: z.object({ name: supplierNameSchema }),
    answer: z.object({ id: z.string() }),
  }),
  get: route({
    method: 'GET',
    path: '/api/suppliers/:id',
    summary: 'A supplier, and what it has of the goods of the shop',
    answer: z.object({ supplier: supplierSchema, currency: z.string(), goods: z.array(supplyRowSchema) }),
  }),
  change: route({
    method: 'PATCH',
    path: '/api/suppliers/:id',
    summary: 'Change some of a supplier; another name is taken over by its goods',
    body: someSupplierSchema.extend({ was: wasOf(someSupplierSchema.shape) }),
    answer: z.object({ supplier: supplierSchema }),
  }),
  remove: route({
    method: 'DELETE',
    path: '/api/suppliers/:id',
    summary: 'Delete a supplier; its goods are ordered from nobody then',
    answer: ok,
  }),
  addGoods: route({
    method: 'POST',
    path: '/api/suppliers/:id/goods',
    summary: 'Goods can be ordered here: as a rule (`main`), or too',
    body: z.object({
      productIds: z.array(z.string().max(80)).min(1, 'Pick at least one product.').max(10_000),
      main: z.boolean(),
    }),
    answer: z.object({ count: whole }),
  }),
  setSupply: route({
    method: 'PUT',
    path: '/api/suppliers/:id/supplies/:variant',
    summary: 'Set under which number a supplier knows a variant, and what it costs from which day on',
    body: supplySchema,
    answer: ok,
  }),
  dropSupply: route({
    method: 'DELETE',
    path: '/api/suppliers/:id/supplies/:variant',
    summary: 'A variant cannot be ordered here any more',
    answer: ok,
  }),
  reorder: route({
    method: 'GET',
    path: '/api/suppliers/:id/reorder',
    summary: 'What to order from a supplier, what is due first',
    query: z.object({ days: z.coerce.number().int().min(1).max(365).default(30) }),
    answer: z.object({
      /** taken for so long where the supplier has no delivery time */
      deliveryDays: whole,
      lines: z.array(reorderLineSchema),
    }),
  }),
  orderFile: route({
    method: 'POST',
    path: '/api/suppliers/:id/order-file',
    summary: 'An order as CSV: what, how much and at which cost',
    waits: false,
    body: z.object({
      lines: z
        .array(z.object({ variantId: z.string().max(80), pieces: whole.min(1).max(1_000_000) }))
        .min(1, 'Order at least one piece of something.')
        .max(10_000),
    }),
    answer: z.object({ name: z.string(), csv: z.string() }),
  }),
  proposals: route({
    method: 'GET',
    path: '/api/proposals',
    summary: 'What makers proposed and nobody answered yet, and what was answered lately',
    answer: z.object({ currency: z.string(), waiting: z.array(proposalSchema), answered: z.array(proposalSchema) }),
  }),
  count: route({
    method: 'GET',
    path: '/api/proposals/count',
    summary: 'How many proposals of makers wait for an answer',
    answer: z.object({ waiting: whole }),
  }),
  take: route({
    method: 'POST',
    path: '/api/proposals/:id/take',
    summary: 'Take a proposal into the working copy, as it is or with changes; the maker is told `reply`',
    body: z.object({
      /** rows that are left out, by key */
      without: z.array(z.string().max(200)).max(2_000).default([]),
      edits: z
        .object({
          product: proposedProductSchema,
          variants: z.record(z.string(), proposedVariantSchema),
          texts: proposedSchema.shape.texts,
        })
        .partial()
        .default({}),
      reply: z.string().trim().max(1_000, 'At most 1,000 characters.').default(''),
    }),
    answer: z.object({ productId: z.string() }),
  }),
  refuse: route({
    method: 'POST',
    path: '/api/proposals/:id/refuse',
    summary: 'Refuse a proposal, with a word to the maker',
    body: z.object({
      reply: z.string().trim().min(1, 'Tell them why.').max(1_000, 'At most 1,000 characters.'),
    }),
    answer: ok,
  }),
};
