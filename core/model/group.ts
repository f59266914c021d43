import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { storedShape, usualValues } from './fields';
import { categoryFields, collectionFields, groupPictureSchema, namedFields } from './group-fields';

export type GroupPicture = z.infer<typeof groupPictureSchema>;

export const categorySchema = z.object({ id: idSchema, ...storedShape(categoryFields) });
export type Category = z.infer<typeof categorySchema>;

export const collectionSchema = z.object({ id: idSchema, ...storedShape(collectionFields) });
export type Collection = z.infer<typeof collectionSchema>;

export const brandSchema = z.object({ id: idSchema, ...storedShape(namedFields) });
export type Brand = z.infer<typeof brandSchema>;

/** A tag has what a brand has. */
export type Tag = Brand;

/** What every group says on its own page of the shop. */
export type GroupPage = Pick<Brand, 'text' | 'picture' | 'metaTitle' | 'metaDescription' | 'noindex'>;

/** What groups have before anybody says otherwise; documents leave it out. */
export const categoryDefaults = usualValues(categoryFields);
export const collectionDefaults = usualValues(collectionFields);
export const namedDefaults = usualValues(namedFields);
