import { Router } from 'express';
import { refusals } from '../shared/refusals';
import { pictureSizes } from '../../core/storefront/card';
import { notFound } from '../shared/problem';
import { mediaPath } from './picture-store';

/** Sizes of pictures by content hash. Nothing of the address reaches the disk but a checked hash and a known size. */
export function servePictures(folder: string): Router {
  const router = Router();
  router.get('/media/:media/:file', (request, response, next) => {
    const { media, file } = request.params;
    const size = pictureSizes.find((each) => `${each}.webp` === file);
    if (!size || !/^[0-9a-f]{32}$/.test(media)) throw notFound(refusals.noSuchPicture);
    response.sendFile(mediaPath(folder, media, size), { maxAge: '1y', immutable: true, dotfiles: 'allow' }, (error) => {
      if (error) next((error as NodeJS.ErrnoException).code === 'ENOENT' ? notFound(refusals.noSuchPicture) : error);
    });
  });
  return router;
}
