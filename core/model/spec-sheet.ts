import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { translatable } from './translatable';

export const attributeTypes = ['text', 'number', 'range', 'choice', 'choices', 'yesNo', 'date'] as const;
export type AttributeType = (typeof attributeTypes)[number];

/** Value of an attribute: words, a number in thousandths of its unit, both ends of a range, ids of choices, or yes/no. */
export const specValueSchema = z.union([
  translatable(z.string().max(2_000, 'At most 2,000 characters.'), 'spec'),
  z.number(),
  z.boolean(),
  z.array(z.string()).max(100),
  z.object({ min: z.number(), max: z.number() }),
]);
export type SpecValue = z.infer<typeof specValueSchema>;

const name = z.string().trim().min(1, 'It needs a name.').max(80, 'At most 80 characters.');

export const attributeSchema = z.object({
  id: idSchema,
  name: translatable(name.clone(), 'name of a spec'),
  type: z.enum(attributeTypes),
  /** of numbers and ranges: a unit that Dispona converts (units.ts), any other word, or '' */
  unit: translatable(z.string().trim().max(20, 'At most 20 characters.'), 'unit', { optional: true }),
  /** of choices */
  choices: z
    .array(z.object({ id: idSchema, name: translatable(name.clone(), 'choice') }))
    .max(200, 'At most 200 choices.'),
  /** heading under which it stands; '' for none */
  heading: translatable(z.string().trim().max(80, 'At most 80 characters.'), 'heading of specs'),
  required: z.boolean(),
  /** told to shoppers on the product page */
  shown: z.boolean(),
  /** offered to shoppers as a filter of listings */
  filterable: z.boolean(),
});
export type Attribute = z.infer<typeof attributeSchema>;

/** The set of attributes that one sort of product has. */
export const specSheetSchema = z.object({
  id: idSchema,
  name,
  attributes: z.array(attributeSchema).max(80, 'A spec sheet can have at most 80 attributes.'),
});
export type SpecSheet = z.infer<typeof specSheetSchema>;
