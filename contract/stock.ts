import { z } from 'zod';
import { stockReasons } from '../core/model/product-values';
import { idSchema } from '../core/shared/identity';
import { productAnswerSchema } from './product';
import { route } from './route';

/** Why stock moved. */
const stockReasonSchema = z.enum(stockReasons);

const stockMovementSchema = z.object({
  variantId: z.string(),
  at: z.string(),
  userName: z.string().nullable(),
  /** what was done, with its reason */
  words: z.string(),
  /** null: not counted */
  before: z.number().int().nullable(),
  after: z.number().int().nullable(),
});

export const stockRoutes = {
  ledger: route({
    method: 'GET',
    path: '/api/products/:id/stock',
    scope: 'stock',
    summary: 'Movements of the stock of a product, newest first',
    answer: z.object({ movements: z.array(stockMovementSchema) }),
  }),
  move: route({
    method: 'POST',
    path: '/api/products/:id/stock',
    summary: 'Add to or take from the stock of variants, or set what was counted, with a reason',
    body: z.object({
      reason: stockReasonSchema,
      note: z.string().trim().max(200, 'At most 200 characters.').default(''),
      moves: z
        .array(
          z.object({
            id: idSchema,
            /** pieces more or less; for the reason "counted": how many there are */
            pieces: z
              .number({ error: 'Type a whole number.' })
              .int('Type a whole number.')
              .min(-1_000_000)
              .max(1_000_000),
          }),
        )
        .min(1, 'Type a number for at least one variant.')
        .max(500),
    }),
    answer: productAnswerSchema,
  }),
};
