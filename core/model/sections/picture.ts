import { z } from 'zod';
import { focusSchema } from '../product-values';
import { groupPictureSchema } from '../group-fields';

/** A picture that the seller uploaded for a page; it covers its frame around the focus point. */
export const placedPictureSchema = groupPictureSchema.extend({ focus: focusSchema.default({ x: 0.5, y: 0.5 }) });
export type PlacedPicture = z.infer<typeof placedPictureSchema>;
