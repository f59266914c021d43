import { z } from 'zod';
import { visitModelSchema } from '../core/model/visit-model';
import { targetSchema } from '../core/model/target';
import { route } from './route';

/** In hundredths of a percent of visits. */
const share = z.number().int();

export const exposureRoutes = {
  overview: route({
    method: 'GET',
    path: '/api/exposure',
    summary:
      'How often visits see each product on the shop, beside its margin and what was sold, and come to each page',
    answer: z.object({
      model: visitModelSchema,
      goods: z.array(
        z.object({
          id: z.string(),
          title: z.string(),
          share,
          /** hundredths of a percent; null where no cost is known */
          margin: z.number().int().nullable(),
          /** pieces in 90 days */
          sold: z.number().int(),
        }),
      ),
      /** the chance that a visit comes to a page or a group */
      places: z.array(z.object({ kind: targetSchema.shape.kind, id: z.string(), share })),
    }),
  }),
  ofProduct: route({
    method: 'GET',
    path: '/api/products/:id/exposure',
    summary: 'How often visits see one product, and where they see it first',
    answer: z.object({ share, first: z.array(z.object({ name: z.string(), share })) }),
  }),
  setModel: route({
    method: 'PUT',
    path: '/api/exposure/model',
    summary: 'Set what is taken for true of a visit',
    body: visitModelSchema,
    answer: visitModelSchema,
  }),
};
