import { z } from 'zod';
import { bulkAction } from '../bulk-action';

export const supplier = bulkAction({
  name: 'Supplier',
  schema: z.strictObject({ do: z.literal('supplier'), name: z.string().trim().max(120, 'At most 120 characters.') }),
  plan: (product, { name }) => ({
    after: product.supplier === name ? product : { ...product, supplier: name },
  }),
  label: (_request, products) => `Changed the supplier of ${products}`,
});
