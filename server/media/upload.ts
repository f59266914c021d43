import type { Request } from 'express';
import multer from 'multer';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { MAX_PICTURE_BYTES, RefusedPictureError, storePicture } from './picture-store';

/** Reads the one picture that a request brings along. */
export const takesPicture = multer({
  storage: multer.memoryStorage(),
  limits: { fileSize: MAX_PICTURE_BYTES * 2, files: 1 },
}).array('files', 1);

/** Stores the picture of a request that `takesPicture` has read. Refuses at the field what is no picture, or too large. */
export async function uploadedPicture(catalog: Catalog, request: Request) {
  const [file] = (request.files as Express.Multer.File[] | undefined) ?? [];
  if (!file) throw invalidField(['files'], refusals.choosePicture);
  const name = Buffer.from(file.originalname, 'latin1').toString('utf8');
  try {
    return await storePicture(catalog.db, catalog.mediaFolder, file.buffer, name, catalog.clock().toISOString());
  } catch (error) {
    if (error instanceof RefusedPictureError) throw invalidField(['files'], error.message);
    throw error;
  }
}
