import { z } from 'zod';
import { arrivedPictureSchema, proposedOptionSchema, proposedSchema } from '../core/model/proposal';
import { route } from './route';
import { proposalSchema } from './suppliers';

const whole = z.number().int();

const ownGoodSchema = z.object({
  id: z.string(),
  title: z.string(),
  thumbnail: z.string().nullable(),
  supplier: z.string(),
  /** where it is in its life, in words */
  standing: z.string(),
  /** pieces that are left; null where they are not counted */
  stock: whole.nullable(),
  /** a proposal of it waits for an answer */
  isWaiting: z.boolean(),
});

const proposal = proposedSchema.partial().extend({
  /** null for a new product */
  productId: z.string().max(80).nullable(),
  supplierId: z.string().max(80),
  /** of a new product */
  options: z.array(proposedOptionSchema).max(3, 'At most 3 options.').optional(),
  note: z.string().trim().max(1_000, 'At most 1,000 characters.').default(''),
});

/** What people who make goods, and do not run the shop, see of it and may do. */
export const makerRoutes = {
  overview: route({
    makers: true,
    method: 'GET',
    path: '/api/maker',
    summary: 'Your goods in the shop, and what came of what you proposed',
    answer: z.object({
      shopName: z.string(),
      currency: z.string(),
      suppliers: z.array(z.object({ id: z.string(), name: z.string() })),
      languages: z.array(z.object({ locale: z.string(), name: z.string() })),
      goods: z.array(ownGoodSchema),
      proposals: z.array(proposalSchema),
    }),
  }),
  good: route({
    makers: true,
    method: 'GET',
    path: '/api/maker/goods/:id',
    summary: 'What you may see of one of your goods, with what you proposed and nobody answered yet',
    answer: z.object({
      id: z.string(),
      supplierId: z.string(),
      pictures: z.array(arrivedPictureSchema),
      product: z.record(z.string(), z.unknown()),
      variants: z.array(z.object({ id: z.string(), name: z.string(), fields: z.record(z.string(), z.unknown()) })),
      texts: proposedSchema.shape.texts,
      waiting: proposedSchema.extend({ note: z.string() }).nullable(),
    }),
  }),
  propose: route({
    makers: true,
    method: 'POST',
    path: '/api/maker/proposals',
    summary:
      'Propose a new product, or changes of one of yours. Variants of a new one go by the places of their values, such as `0.2`; what holds for all of them stands under `new`',
    body: proposal,
    answer: z.object({ id: z.string() }),
  }),
  withdraw: route({
    makers: true,
    method: 'DELETE',
    path: '/api/maker/proposals/:id',
    summary: 'Withdraw what you proposed and nobody answered yet',
    answer: z.object({ ok: z.literal(true) }),
  }),
  addPictures: route({
    makers: true,
    method: 'POST',
    path: '/api/maker/pictures',
    summary: 'Bring pictures for a proposal',
    files: true,
    answer: z.object({
      pictures: z.array(arrivedPictureSchema),
      refused: z.array(z.object({ file: z.string(), message: z.string() })),
    }),
  }),
  importGoods: route({
    makers: true,
    method: 'POST',
    path: '/api/maker/import',
    summary: 'Propose what a file says of your goods (CSV, XLSX or JSON)',
    files: true,
    answer: z.object({
      /** proposals that were made */
      changed: whole,
      added: whole,
      same: whole,
      refused: z.array(z.object({ row: whole, message: z.string() })),
      /** columns of the file that nothing was taken from */
      ignored: z.array(z.string()),
    }),
  }),
};
