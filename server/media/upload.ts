import type { Request, RequestHandler } from 'express';
import multer, { diskStorage, MulterError } from 'multer';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { arrivingFolder } from './file-store';
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

/** Lets one file arrive on disk, however large it is, up to `most` bytes. */
export function takesFile(folder: string, most: number, tooLarge: string): RequestHandler {
  const take = multer({
    storage: diskStorage({ destination: arrivingFolder(folder) }),
    limits: { fileSize: most, files: 1 },
  }).array('files', 1);
  return (request, response, next) =>
    take(request, response, (error: unknown) =>
      next(
        error instanceof MulterError && error.code === 'LIMIT_FILE_SIZE' ? invalidField(['files'], tooLarge) : error,
      ),
    );
}

/** The one file that arrived by `takesFile`. */
export function arrivedFile(request: Request): Express.Multer.File {
  const [file] = (request.files as Express.Multer.File[] | undefined) ?? [];
  if (!file) throw invalidField(['files'], refusals.noFileArrived);
  return file;
}
