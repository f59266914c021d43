import { z } from 'zod';
import { proposedShape } from './fields';
import { productSchema, variantSchema } from './product';
import { productFields } from './product-fields';
import { pictureSchema } from './product-values';
import { variantFields } from './variant-fields';

export const proposedProductSchema = z.strictObject(proposedShape(productFields)).partial();
export const proposedVariantSchema = z.strictObject(proposedShape(variantFields)).partial();

/** A picture that arrived, as it is stored. */
export const arrivedPictureSchema = pictureSchema.pick({ media: true, width: true, height: true, background: true });
export type ArrivedPicture = z.infer<typeof arrivedPictureSchema>;

/** What makers may propose in other languages: texts of a product by their paths. */
export const proposedTexts = ['title', 'summary', 'description'] as const;

/** Of a new product variants go by the names of their values while they are typed. */
const id = z.string().max(300);

/** An option of a new product: its name, and what its values are called. */
export const proposedOptionSchema = z.strictObject({
  name: z.string().trim().max(80, 'At most 80 characters.'),
  values: z.array(z.string().trim().max(80, 'At most 80 characters.')).max(100, 'At most 100 values.'),
});
export type ProposedOption = z.infer<typeof proposedOptionSchema>;

/** What a maker would have other of a product, or new. */
export const proposedSchema = z.strictObject({
  product: proposedProductSchema,
  /** by id */
  variants: z.record(id, proposedVariantSchema),
  /** put behind those that are there */
  pictures: z.array(arrivedPictureSchema).max(30, 'At most 30 pictures.'),
  /** by language and path */
  texts: z.record(z.string().max(35), z.partialRecord(z.enum(proposedTexts), z.string().max(200_000))),
});
export type Proposed = z.infer<typeof proposedSchema>;

/** A proposal as it is kept. */
export const proposalBodySchema = proposedSchema.extend({
  /** of a new product: what it begins with */
  made: productSchema
    .pick({ options: true })
    .extend({ variants: z.array(variantSchema) })
    .nullable(),
  /** row of the difference → what stood there when it was proposed */
  was: z.record(z.string(), z.unknown()),
});
export type ProposalBody = z.infer<typeof proposalBodySchema>;

export const proposalStates = ['waiting', 'taken', 'refused', 'withdrawn'] as const;
export type ProposalState = (typeof proposalStates)[number];
