import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { storedShape, usualValues } from './fields';
import { productFields, relationFields } from './product-fields';
import { pictureSchema, swatchSchema } from './product-values';
import { variantFields } from './variant-fields';

const optionValueSchema = z.object({
  id: idSchema,
  name: z.string(),
  swatch: swatchSchema,
  /** a picture that stands for the value, such as that of a fabric */
  pictureId: idSchema.nullable(),
});
export type OptionValue = z.infer<typeof optionValueSchema>;

const optionSchema = z.object({
  id: idSchema,
  name: z.string(),
  /** the option list that its values come from */
  listId: idSchema.nullable(),
  values: z.array(optionValueSchema),
});
export type Option = z.infer<typeof optionSchema>;

export const variantSchema = z.object({
  id: idSchema,
  /** one option value id per option, in the order of the options */
  values: z.array(idSchema),
  ...storedShape(variantFields),
});
export type Variant = z.infer<typeof variantSchema>;

export const productSchema = z.object({
  id: idSchema,
  created: z.iso.datetime(),
  options: z.array(optionSchema),
  variants: z.array(variantSchema),
  /** the first is the face */
  pictures: z.array(pictureSchema),
  ...storedShape(productFields),
  relations: z.object(storedShape(relationFields)),
});
export type Product = z.infer<typeof productSchema>;

/** Fields of a product that need not be filled in, with what they are then. */
export const productDefaults = { ...usualValues(productFields), relations: usualValues(relationFields) };
export const variantDefaults = usualValues(variantFields);
