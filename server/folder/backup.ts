import Database from 'better-sqlite3';
import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { copyFile, cp, mkdir, readdir } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { lockFolder } from './lock';

const DATABASE = 'dispona.sqlite';

/** There is no shop in a folder, or a backup is not whole: in plain words. */
export class BackupError extends Error {}

export interface BackupSize {
  products: number;
  pictures: number;
  files: number;
}

function refuseWithoutShop(folder: string): void {
  if (!existsSync(join(folder, DATABASE))) throw new BackupError(`There is no shop in ${folder}.`);
}

/** Opens a database only to read it, and checks that it is whole. */
function openWhole(path: string): Database.Database {
  const db = new Database(path, { readonly: true });
  const found = db.pragma('integrity_check', { simple: true });
  if (found === 'ok') return db;
  db.close();
  throw new BackupError(`The database ${path} is damaged: ${String(found)}`);
}

async function copyMissing(from: string, to: string): Promise<void> {
  if (existsSync(to)) return;
  await mkdir(dirname(to), { recursive: true });
  await copyFile(from, `${to}.part`);
  renameSync(`${to}.part`, to);
}

/**
 * Copies a shop into a folder that does not exist yet, while it may be running: the database as it is at one moment, then
 * every picture that it knows, and all files. Pictures and files lie under the hash of their content and never change, so
 * what the database knows is there. Whoever stops it leaves a folder whose name ends in ".part".
 */
export async function backUp(folder: string, target: string): Promise<BackupSize> {
  refuseWithoutShop(folder);
  if (existsSync(target)) throw new BackupError(`There is something at ${target} already. Choose another place.`);
  const passing = `${target}.part`;
  rmSync(passing, { recursive: true, force: true });
  mkdirSync(passing, { recursive: true, mode: 0o700 });
  const live = new Database(join(folder, DATABASE), { readonly: true, timeout: 30_000 });
  live.prepare(`VACUUM INTO ?`).run(join(passing, DATABASE));
  live.close();
  const copy = openWhole(join(passing, DATABASE));
  const hashes = copy.prepare(`SELECT hash FROM media`).pluck().all() as string[];
  const products = copy.prepare(`SELECT count(*) FROM product`).pluck().get() as number;
  copy.close();
  for (const hash of hashes) {
    const own = join('media', hash.slice(0, 2), hash);
    for (const name of await readdir(join(folder, own)))
      if (!name.endsWith('.part')) await copyMissing(join(folder, own, name), join(passing, own, name));
  }
  await copyFiles(folder, passing, 'films');
  const files = await copyFiles(folder, passing, 'files');
  renameSync(passing, target);
  return { products, pictures: hashes.length, files };
}

/** Copies all files of a store that arrived whole. */
async function copyFiles(folder: string, target: string, store: 'files' | 'films'): Promise<number> {
  let copied = 0;
  const shelves = await readdir(join(folder, store)).catch(() => [] as string[]);
  for (const shelf of shelves.filter((name) => /^[0-9a-f]{2}$/.test(name)))
    for (const name of await readdir(join(folder, store, shelf))) {
      await copyMissing(join(folder, store, shelf, name), join(target, store, shelf, name));
      copied++;
    }
  return copied;
}

/**
 * Puts a backup in the place of the shop in `folder`, which must not be running. The shop that was there is moved aside,
 * and the answer says where; null when there was none. Throws BackupError, FolderInUseError.
 */
export async function restore(backup: string, folder: string, at: Date): Promise<string | null> {
  refuseWithoutShop(backup);
  openWhole(join(backup, DATABASE)).close();
  const passing = `${folder}.part`;
  rmSync(passing, { recursive: true, force: true });
  await cp(backup, passing, { recursive: true });
  let aside: string | null = null;
  if (existsSync(folder)) {
    lockFolder(folder)();
    aside = `${folder}.before-${at.toISOString().replace(/[:.]/g, '-')}`;
    renameSync(folder, aside);
  }
  renameSync(passing, folder);
  return aside;
}
