import type { Db } from '../database/connection';
import type { StoredMedia } from './picture-store';

/** Pictures by the hashes of their content, as they are stored; those that are not are left out. */
export function knownPictures(db: Db, pictures: readonly Pick<StoredMedia, 'media'>[]): StoredMedia[] {
  const find = db.prepare(`SELECT hash AS media, width, height, background FROM media WHERE hash = ?`);
  return pictures.flatMap(({ media }) => (find.get(media) as StoredMedia | undefined) ?? []);
}
