import { z } from 'zod';
import { fitSchema } from '../../model/product-values';
import { bulkAction } from '../bulk-action';

export const pictures = bulkAction({
  name: 'Pictures: fill or fit',
  schema: z.strictObject({ do: z.literal('pictures'), fit: fitSchema }),
  plan: (product, { fit }) => {
    if (product.pictures.length === 0) return { problem: 'it has no picture' };
    if (product.pictures.every((picture) => picture.fit === fit)) return { after: product };
    return { after: { ...product, pictures: product.pictures.map((picture) => ({ ...picture, fit })) } };
  },
  label: ({ fit }, products) => `Let pictures of ${products} ${fit === 'fits' ? 'fit' : 'fill'} their frame`,
});
