import { readdir, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Db } from '../database/connection';

const namesIn = (folder: string) => readdir(folder).catch(() => [] as string[]);

/** What was there before this moment, ms since 1970; what came later may still be on its way. */
async function isOlder(path: string, before: number): Promise<boolean> {
  const found = await stat(path).catch(() => undefined);
  return found !== undefined && found.mtimeMs < before;
}

/**
 * Throws away what a process that died left half written before a moment (ms since 1970): parts of pictures, folders of
 * pictures that were never noted, a kept index or a backup that was not finished. Answers how many things went.
 */
export async function sweepFolder(db: Db, folder: string, before: number): Promise<number> {
  let gone = 0;
  const drop = async (path: string) => {
    if (!(await isOlder(path, before))) return;
    await rm(path, { recursive: true, force: true });
    gone++;
  };
  for (const name of ['index.kept.new', 'restored.part']) await drop(join(folder, name));
  const backups = join(folder, 'backups');
  for (const name of await namesIn(backups)) if (name.endsWith('.part')) await drop(join(backups, name));
  const media = join(folder, 'media');
  const isKnown = db.prepare(`SELECT 1 FROM media WHERE hash = ?`).pluck();
  for (const shelf of await namesIn(media))
    for (const hash of await namesIn(join(media, shelf))) {
      const own = join(media, shelf, hash);
      if (isKnown.get(hash) === undefined) await drop(own);
      else for (const name of await namesIn(own)) if (name.endsWith('.part')) await drop(join(own, name));
    }
  return gone;
}
