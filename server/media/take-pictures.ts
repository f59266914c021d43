import type { Catalog } from '../state/catalog';
import { RefusedPictureError, storePicture, type StoredMedia } from './picture-store';

interface TakenPictures {
  taken: StoredMedia[];
  refused: { file: string; message: string }[];
}

/** Stores pictures that arrived. What is no picture, or is not wanted (`problemOf`), is refused with its reason; the others stay. */
export async function takePictures(
  { db, mediaFolder, clock }: Catalog,
  files: readonly Express.Multer.File[],
  problemOf: (picture: StoredMedia) => string | undefined = () => undefined,
): Promise<TakenPictures> {
  const taken: StoredMedia[] = [];
  const refused: TakenPictures['refused'] = [];
  for (const { originalname, buffer } of files) {
    const name = Buffer.from(originalname, 'latin1').toString('utf8');
    try {
      const stored = await storePicture(db, mediaFolder, buffer, name, clock().toISOString());
      const problem = problemOf(stored);
      if (problem) throw new RefusedPictureError(problem);
      taken.push(stored);
    } catch (error) {
      if (!(error instanceof RefusedPictureError)) throw error;
      refused.push({ file: name, message: error.message });
    }
  }
  return { taken, refused };
}
