import { Router } from 'express';
import { refusals } from '../shared/refusals';
import { pictureSizes } from '../../core/storefront/picture-sizes';
import { notFound } from '../shared/problem';
import { pictureFile } from './picture-store';

/** Sizes of pictures by content hash. Nothing of the address reaches the disk but a checked hash and a known size. */
export function servePictures(folder: string): Router {
  const router = Router();
  router.get('/media/:media/:file', async (request, response) => {
    const { media, file } = request.params;
    const size = pictureSizes.find((each) => `${each}.webp` === file);
    const isAsked = size !== undefined && /^[0-9a-f]{32}$/.test(media);
    const path = isAsked ? await pictureFile(folder, media, size) : undefined;
    if (path === undefined) throw notFound(refusals.noSuchPicture);
    response.sendFile(path, { maxAge: '1y', immutable: true, dotfiles: 'allow' });
  });
  return router;
}
