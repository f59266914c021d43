import Database from 'better-sqlite3';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { newestVersion } from '../database/connection';
import { lockFolder } from './lock';
import { entriesOf, refuseWithoutRoom } from './archive';
import { BackupError, checkBackup, DATABASE, openWhole, STORES, type BackupCard, type Tell } from './backup';

/** Where an unpacked backup waits to be put in place; it has this name only when all of it is there. */
const READY = 'restored';
const WHERE = 'moves-aside-to';

/**
 * Unpacks and checks a backup inside the folder of a shop, beside what is there. Only `finishRestore` puts it in place; whoever is
 * stopped before this ends has changed nothing. Throws BackupError, ArchiveError.
 */
export async function unpackBackup(
  zip: string,
  folder: string,
  at: Date,
  {
    tell,
    sure,
  }: { tell?: Tell; /** called once all is checked; throws where it is not wanted any more */ sure?: () => void } = {},
): Promise<BackupCard> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const passing = join(folder, `${READY}.part`);
  rmSync(passing, { recursive: true, force: true });
  mkdirSync(passing, { mode: 0o700 });
  try {
    const opened = await entriesOf(zip);
    opened.zip.close();
    await refuseWithoutRoom(folder, opened.entries);
    const { card } = await checkBackup(zip, passing, tell);
    if (card.version > newestVersion())
      throw new BackupError('A newer Dispona made this backup. Start that one to bring the shop back.');
    openWhole(join(passing, DATABASE)).close();
    // Who was signed in when it was made signs in again.
    const db = new Database(join(passing, DATABASE));
    db.prepare(`DELETE FROM session`).run();
    db.close();
    for (const store of STORES) mkdirSync(join(passing, store), { recursive: true });
    writeFileSync(join(passing, WHERE), `before-${at.toISOString().replace(/[:.]/g, '-')}`);
    sure?.();
    rmSync(join(folder, READY), { recursive: true, force: true });
    renameSync(passing, join(folder, READY));
    return card;
  } catch (error) {
    rmSync(passing, { recursive: true, force: true });
    throw error;
  }
}

/**
 * Puts a backup that was unpacked in place of the shop in `folder`, whose database nobody may have open; what was there is moved into
 * a folder inside. Each step can be done again, so it goes on where it was stopped, whenever that was: it is called before
 * every opening. Answers where the old shop is; undefined where no backup waits, or there was no shop.
 */
export function finishRestore(folder: string): string | undefined {
  const ready = join(folder, READY);
  if (!existsSync(ready)) return undefined;
  const aside = join(folder, readFileSync(join(ready, WHERE), 'utf8'));
  mkdirSync(aside, { recursive: true, mode: 0o700 });
  const moveAside = (name: string) => {
    if (existsSync(join(folder, name))) renameSync(join(folder, name), join(aside, name));
  };
  if (existsSync(join(ready, DATABASE))) {
    // The database goes last: as long as the new one waits, what is here belongs to the old one.
    for (const name of [`${DATABASE}-wal`, `${DATABASE}-shm`, 'index.kept', DATABASE]) moveAside(name);
    renameSync(join(ready, DATABASE), join(folder, DATABASE));
  }
  for (const store of STORES) {
    if (!existsSync(join(ready, store))) continue;
    moveAside(store);
    renameSync(join(ready, store), join(folder, store));
  }
  rmSync(ready, { recursive: true });
  return existsSync(join(aside, DATABASE)) ? aside : undefined;
}

/**
 * Puts the shop of a backup in the place of the one in `folder`, which must not be running. Answers where the old one was moved
 * to; undefined when there was none. Throws BackupError, ArchiveError, FolderInUseError.
 */
export async function restore(zip: string, folder: string, at: Date): Promise<string | undefined> {
  if (!existsSync(zip)) throw new BackupError(`There is no backup at ${zip}.`);
  const unlock = lockFolder(folder);
  try {
    await unpackBackup(zip, folder, at);
    return finishRestore(folder);
  } finally {
    unlock();
  }
}
