import type { Db } from '../database/connection';
import type { StoredMedia } from './picture-store';

/** Pictures in which light and dark differ by less than this, by hash. Those that were never measured are not told. */
export const palePictures = (db: Db, below: number): Set<string> =>
  new Set(db.prepare(`SELECT hash FROM media WHERE contrast < ?`).pluck().all(below) as string[]);

/** Pictures by the hashes of their content, as they are stored; those that are not are left out. */
export function knownPictures(db: Db, pictures: readonly Pick<StoredMedia, 'media'>[]): StoredMedia[] {
  const find = db.prepare(`SELECT hash AS media, width, height, background FROM media WHERE hash = ?`);
  return pictures.flatMap(({ media }) => (find.get(media) as StoredMedia | undefined) ?? []);
}
