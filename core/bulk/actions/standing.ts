import { z } from 'zod';
import { standingSchema } from '../../model/product-values';
import { bulkAction } from '../bulk-action';

export const standing = bulkAction({
  name: 'Standing',
  schema: z.strictObject({ do: z.literal('standing'), standing: standingSchema }),
  plan: (product, { standing }) => ({
    after: product.standing === standing ? product : { ...product, standing },
  }),
  label: ({ standing }, products) =>
    ({ live: `Put ${products} on the shop`, draft: `Made ${products} drafts`, off: `Took ${products} off the shop` })[
      standing
    ],
});
