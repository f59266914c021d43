import { z } from 'zod';
import { bulkAction } from '../bulk-action';

export const featured = bulkAction({
  name: 'Featured',
  schema: z.strictObject({ do: z.literal('featured'), featured: z.boolean() }),
  plan: (product, { featured }, { nextFeaturedPlace }) => ({
    after:
      product.featured === featured
        ? product
        : { ...product, featured, featuredPlace: featured ? nextFeaturedPlace : 0 },
  }),
  label: ({ featured }, products) => (featured ? `Featured ${products}` : `Ended featuring ${products}`),
});
