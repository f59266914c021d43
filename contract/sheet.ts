import { z } from 'zod';
import { idSchema } from '../core/shared/identity';
import { namesOf } from '../core/model/fields';
import { productFields, type ProductFields } from '../core/model/product-fields';
import { productSchema, variantSchema } from '../core/model/product';
import { jobSchema, MOST_PRODUCTS, whichSchema } from './bulk';
import { productFieldsSchema, variantFieldsSchema } from './product';
import { route } from './route';

/** Fields of a product that a sheet shows and changes. */
export const sheetFields = namesOf(productFields, ({ inSheet }) => inSheet === true) as SheetField[];
type SheetField = {
  [K in keyof ProductFields]: ProductFields[K] extends { inSheet: true } ? K : never;
}[keyof ProductFields];
const pickFields = Object.fromEntries(sheetFields.map((name) => [name, true])) as Record<SheetField, true>;

const sheetProductSchema = productSchema
  .pick({ ...pickFields, id: true, kind: true, unitPricing: true, options: true })
  .extend({
    /** its price, or its stock, follows from its parts */
    isOfParts: z.boolean(),
    isBundle: z.boolean(),
    variants: z.array(variantSchema),
  });
export type SheetProduct = z.infer<typeof sheetProductSchema>;

const sheetChangeSchema = z.object({
  id: idSchema,
  fields: productFieldsSchema.pick(pickFields).default({}),
  variants: z
    .array(z.object({ id: idSchema, fields: variantFieldsSchema }))
    .max(500)
    .default([]),
});
export type SheetChange = z.infer<typeof sheetChangeSchema>;

export const sheetRoutes = {
  read: route({
    method: 'POST',
    path: '/api/sheet',
    waits: false,
    summary: 'Products as a sheet edits them',
    body: z.object({ which: whichSchema }),
    answer: z.object({
      /** send it back with a write, so that a clash can be told */
      seen: z.number().int(),
      products: z.array(sheetProductSchema),
      /** products beyond those that a sheet holds */
      more: z.number().int(),
    }),
  }),
  save: route({
    method: 'POST',
    path: '/api/sheet/save',
    waits: false,
    summary: 'Change fields of many products and variants, as one change; refused as a whole when one cell cannot be',
    body: z.object({ seen: z.number().int().min(0), changes: z.array(sheetChangeSchema).min(1).max(MOST_PRODUCTS) }),
    answer: jobSchema,
  }),
};
