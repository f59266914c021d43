import type { Picture } from '../model/product-values';

/** A picture that came with a file, or is in the shop already. */
export type KnownPicture = Pick<Picture, 'media' | 'width' | 'height' | 'background'>;
