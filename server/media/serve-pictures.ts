import { Router } from 'express';
import { refusals } from '../shared/refusals';
import { iconSizes, pictureSizes } from '../../core/storefront/picture-sizes';
import { notFound } from '../shared/problem';
import type { Db } from '../database/connection';
import { iconFile, pictureFile, sharedFile } from './picture-store';

/** Sizes of pictures by content hash. Nothing of the address reaches the disk but a checked hash and a known size. */
export function servePictures(db: Db, folder: string): Router {
  const router = Router();
  router.get('/media/:media/:file', async (request, response) => {
    const { media, file } = request.params;
    const size = pictureSizes.find((each) => `${each}.webp` === file);
    const icon = iconSizes.find((each) => `icon-${each}.png` === file);
    const isHash = /^[0-9a-f]{32}$/.test(media);
    const path = !isHash
      ? undefined
      : file === 'shared.jpg'
        ? await sharedFile(db, folder, media)
        : icon
          ? await iconFile(folder, media, icon)
          : size && (await pictureFile(folder, media, size));
    if (path === undefined) throw notFound(refusals.noSuchPicture);
    // Goods of the shop stand in pages of other sites, too.
    response.set('Cross-Origin-Resource-Policy', 'cross-origin');
    response.sendFile(path, { maxAge: '1y', immutable: true, dotfiles: 'allow' });
  });
  return router;
}
