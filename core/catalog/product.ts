import { z } from 'zod';
import { idSchema, slugSchema } from './identity';

export const productKinds = ['physical', 'digital', 'service', 'giftCard', 'bundle'] as const;
export const productKindSchema = z.enum(productKinds);
export type ProductKind = z.infer<typeof productKindSchema>;

/** draft: never shown yet; live: shown from the next edition on; off: taken off the shop. */
export const standings = ['draft', 'live', 'off'] as const;
export const standingSchema = z.enum(standings);
export type Standing = z.infer<typeof standingSchema>;

export const titleSchema = z
  .string()
  .trim()
  .min(1, 'A product needs a title.')
  .max(200, 'A title can have at most 200 characters.');

/** Money is an integer number of minor units (cents) of the shop's currency. */
export const moneySchema = z
  .number({ error: 'Type an amount, like 24.50.' })
  .int('Amounts have at most two decimals.')
  .min(0, 'A price cannot be below zero.')
  .max(1_000_000_000, 'This amount is too large.');

/** Numbers of things kept, or null when they are not counted. */
export const stockSchema = z
  .number({ error: 'Type a whole number, or leave it empty to not count.' })
  .int('Stock is a whole number.')
  .min(0, 'Stock cannot be below zero.')
  .max(10_000_000, 'This is more than Dispona counts.')
  .nullable();

export const focusSchema = z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) });
export type Focus = z.infer<typeof focusSchema>;

export const pictureSchema = z.object({
  id: idSchema,
  /** content hash of the upload; the address of its sizes is made from it */
  media: z.string(),
  width: z.number().int(),
  height: z.number().int(),
  alt: z.string(),
  focus: focusSchema,
});
export type Picture = z.infer<typeof pictureSchema>;

export const swatchSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/i, 'A swatch colour looks like #e4572e.')
  .nullable();

export const optionValueSchema = z.object({ id: idSchema, name: z.string(), swatch: swatchSchema });
export type OptionValue = z.infer<typeof optionValueSchema>;

export const optionSchema = z.object({ id: idSchema, name: z.string(), values: z.array(optionValueSchema) });
export type Option = z.infer<typeof optionSchema>;

export const variantSchema = z.object({
  id: idSchema,
  /** one option value id per option, in the order of the options */
  values: z.array(idSchema),
  sku: z.string(),
  price: moneySchema,
  salePrice: moneySchema.nullable(),
  cost: moneySchema.nullable(),
  pictureId: idSchema.nullable(),
  stock: stockSchema,
});
export type Variant = z.infer<typeof variantSchema>;

export const productSchema = z.object({
  id: idSchema,
  kind: productKindSchema,
  title: z.string(),
  summary: z.string(),
  /** sanitised HTML */
  description: z.string(),
  slug: slugSchema,
  standing: standingSchema,
  featured: z.boolean(),
  brandId: idSchema.nullable(),
  /** the first is the main one */
  categoryIds: z.array(idSchema),
  tagIds: z.array(idSchema),
  options: z.array(optionSchema),
  variants: z.array(variantSchema),
  /** the first is the face */
  pictures: z.array(pictureSchema),
  created: z.iso.datetime(),
});
export type Product = z.infer<typeof productSchema>;
