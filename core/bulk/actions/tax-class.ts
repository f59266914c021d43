import { z } from 'zod';
import { taxClassSchema } from '../../model/product-values';
import { bulkAction } from '../bulk-action';

export const taxClass = bulkAction({
  name: 'Tax class',
  schema: z.strictObject({ do: z.literal('taxClass'), taxClass: taxClassSchema }),
  plan: (product, { taxClass }) => ({ after: product.taxClass === taxClass ? product : { ...product, taxClass } }),
  label: (_request, products) => `Changed the tax class of ${products}`,
});
