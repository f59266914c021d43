import { z } from 'zod';
import { momentSchema } from '../../model/product-values';
import { refuseSpan } from '../../pricing/price';
import { bulkAction } from '../bulk-action';

export const days = bulkAction({
  name: 'Days on the shop',
  schema: z.strictObject({ do: z.literal('days'), from: momentSchema, until: momentSchema }),
  plan: (product, { from, until }) => {
    const problem = refuseSpan(from, until);
    if (problem) return { problem };
    const isSame = product.liveFrom === from && product.liveUntil === until;
    return { after: isSame ? product : { ...product, liveFrom: from, liveUntil: until } };
  },
  label: (_request, products) => `Changed the days of ${products} on the shop`,
});
