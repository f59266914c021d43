import { z } from 'zod';
import { statusSchema } from '../../model/product-values';
import { bulkAction } from '../bulk-action';

export const status = bulkAction({
  name: 'Standing',
  schema: z.strictObject({ do: z.literal('status'), status: statusSchema }),
  plan: (product, { status }) => ({
    after: product.status === status ? product : { ...product, status },
  }),
  label: ({ status }, products) =>
    ({ live: `Put ${products} on the shop`, draft: `Made ${products} drafts`, off: `Took ${products} off the shop` })[
      status
    ],
});
