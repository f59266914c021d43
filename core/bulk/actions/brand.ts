import { z } from 'zod';
import { idSchema } from '../../shared/identity';
import { bulkAction } from '../bulk-action';

export const brand = bulkAction({
  name: 'Brand',
  schema: z.strictObject({ do: z.literal('brand'), id: idSchema.nullable() }),
  plan: (product, { id }) => ({
    after: product.brandId === id ? product : { ...product, brandId: id },
  }),
  label: (_request, products) => `Changed the brand of ${products}`,
});
