import { z } from 'zod';
import { copiedParts, typedShape } from '../core/model/fields';
import { productSchema } from '../core/model/product';
import { productFields, relationFields } from '../core/model/product-fields';
import { variantFields } from '../core/model/variant-fields';
import { placeOfProductSchema } from '../core/storefront/views';

/** Where a product is in its life, as its swing tag says. */
export const shownStatusSchema = z.enum(['draft', 'live', 'changed', 'soldOut', 'waiting', 'ended', 'off']);
export type ShownStatus = z.infer<typeof shownStatusSchema>;

export const productAnswerSchema = z.object({
  product: productSchema,
  /** send it back with a write, so that a clash can be told */
  revision: z.number().int(),
  shownStatus: shownStatusSchema,
  /** by variant id, basis points of the price without tax */
  margins: z.record(z.string(), z.number().int().nullable()),
  markUps: z.record(z.string(), z.number().int().nullable()),
  /** SKUs and barcodes that other variants have too */
  duplicates: z.array(
    z.object({
      variantId: z.string(),
      field: z.enum(['sku', 'barcode']),
      value: z.string(),
      productId: z.string(),
      title: z.string(),
    }),
  ),
  /** products that its relations, and the slots of a bundle, name, by id */
  related: z.record(z.string(), z.object({ title: z.string(), thumbnail: z.string().nullable() })),
  /** what follows from the parts of a bundle; null for other kinds */
  bundle: z
    .object({
      price: z.object({ min: z.number().int(), max: z.number().int() }),
      /** how often it can be made; null when there is no end */
      stock: z.number().int().nullable(),
      /** slots that run out first */
      scarce: z.array(z.string()),
      slots: z.array(
        z.object({
          id: z.string(),
          total: z.number().int(),
          parts: z.array(
            z.object({
              id: z.string(),
              title: z.string(),
              thumbnail: z.string().nullable(),
              price: z.number().int(),
              stock: z.number().int().nullable(),
            }),
          ),
        }),
      ),
    })
    .nullable(),
  /** spec sheet that its category suggests while it has none, and the category */
  suggestedSheet: z.object({ id: z.string(), category: z.string() }).nullable(),
  /** what search engines are told where the seller wrote nothing */
  meta: z.object({ title: z.string(), description: z.string(), noindex: z.boolean() }),
  tax: z.object({
    /** basis points */
    rate: z.number().int(),
    /** true when prices contain it */
    included: z.boolean(),
  }),
  timeZone: z.string(),
  currency: z.string(),
  places: z.array(placeOfProductSchema),
});
export type ProductAnswer = z.infer<typeof productAnswerSchema>;

export const productFieldsSchema = z
  .strictObject({ ...typedShape(productFields), ...typedShape(relationFields) })
  .partial();

export const variantFieldsSchema = z.strictObject(typedShape(variantFields)).partial();

export const copiedPartSchema = z.enum(copiedParts);
