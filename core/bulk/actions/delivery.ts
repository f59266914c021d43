import { z } from 'zod';
import { type Product } from '../../model/product';
import { dispatchDaysSchema, packageSizeSchema, packageTypeSchema, weightSchema } from '../../model/product-values';
import { kindParts } from '../../products/kinds';
import { canonicalJson } from '../../shared/canonical-json';
import { bulkAction } from '../bulk-action';

const schema = z
  .strictObject({
    do: z.literal('delivery'),
    weight: weightSchema.optional(),
    size: packageSizeSchema.nullable().optional(),
    packageType: packageTypeSchema.optional(),
    dispatchDays: dispatchDaysSchema.optional(),
  })
  .refine((request) => Object.keys(request).length > 1, { error: 'Fill in at least one of these.' });

export const delivery = bulkAction({
  name: 'Delivery facts',
  schema,
  plan: (product, { do: _do, ...facts }) => {
    if (!kindParts[product.kind].delivery) return { problem: 'nothing of it is delivered' };
    const isSame = Object.entries(facts).every(
      ([name, value]) => canonicalJson(product[name as keyof Product]) === canonicalJson(value),
    );
    return { after: isSame ? product : { ...product, ...facts } };
  },
  label: (_request, products) => `Changed delivery facts of ${products}`,
});
