import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { createReadStream, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { readdir, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { z } from 'zod';
import { entriesOf, readEntry, readSmall, writeArchive, type ArchivedFile } from './archive';

export const DATABASE = 'dispona.sqlite';
/** Folders of a shop whose files lie under the hash of what they hold, and never change. */
export const STORES = ['media', 'films', 'files'] as const;
const CARD = 'backup.json';

/** There is no shop in a folder, or a backup cannot be used: in plain words. */
export class BackupError extends Error {}

/** What a backup says of itself. */
const cardSchema = z.object({
  what: z.literal('A backup of a Dispona shop'),
  /** of the database: its shape, and SHA-256 of its file */
  version: z.number().int(),
  hash: z.string(),
  at: z.iso.datetime(),
  shop: z.string(),
  products: z.number().int(),
  pictures: z.number().int(),
  files: z.number().int(),
});
export type BackupCard = z.infer<typeof cardSchema>;

/** How others follow what takes long: they are told how far it is, of how much, and may stop it by throwing. */
export type Tell = (done: number, total: number) => void;

function refuseWithoutShop(folder: string): void {
  if (!existsSync(join(folder, DATABASE))) throw new BackupError(`There is no shop in ${folder}.`);
}

/** Opens a database only to read it, and checks that it is whole. */
export function openWhole(path: string): Database.Database {
  const damaged = (why: string) => new BackupError(`The database of this backup is damaged: ${why}`);
  let db: Database.Database;
  try {
    db = new Database(path, { readonly: true });
    const found = db.pragma('integrity_check', { simple: true });
    if (found === 'ok') return db;
    db.close();
    throw damaged(String(found));
  } catch (error) {
    throw error instanceof BackupError ? error : damaged((error as Error).message);
  }
}

async function hashOf(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const part of createReadStream(path)) hash.update(part as Buffer);
  return hash.digest('hex');
}

/** The files of a store that arrived whole, in the order of their names. */
async function filesOf(folder: string, store: (typeof STORES)[number], isOf: (name: string) => boolean) {
  const found: ArchivedFile[] = [];
  const walk = async (inside: string) => {
    const names = await readdir(join(folder, inside), { withFileTypes: true }).catch(() => []);
    for (const entry of names.sort((a, b) => (a.name < b.name ? -1 : 1))) {
      const name = `${inside}/${entry.name}`;
      if (entry.isDirectory()) await walk(name);
      else if (!name.endsWith('.part') && isOf(name))
        found.push({ name, path: join(folder, name), isPacked: store !== 'files' });
    }
  };
  const shelves = await readdir(join(folder, store)).catch(() => [] as string[]);
  for (const shelf of shelves.filter((name) => /^[0-9a-f]{2}$/.test(name)).sort()) await walk(`${store}/${shelf}`);
  return found;
}

/**
 * Copies a shop into one ZIP that does not exist yet, while it may be running: the database as it is at one moment, every
 * picture that it knows, and all films and files. They lie under the hash of what they hold and never change, so what the
 * database knows is there. The ZIP is read again from its beginning to its end before it gets its name; whoever stops it
 * leaves at most files that end in ".part". Takes time with the size of the shop, and blocks while the database is copied:
 * on a server it belongs into a thread. Throws BackupError.
 */
export async function backUp(
  folder: string,
  target: string,
  at: Date,
  tell: Tell = () => undefined,
): Promise<BackupCard> {
  refuseWithoutShop(folder);
  if (existsSync(target)) throw new BackupError(`There is something at ${target} already. Choose another place.`);
  mkdirSync(dirname(target), { recursive: true, mode: 0o700 });
  const [copy, cardFile, zip] = [`${target}.sqlite.part`, `${target}.json.part`, `${target}.part`];
  const clear = () => [copy, cardFile, zip].forEach((path) => rmSync(path, { force: true }));
  clear();
  try {
    const live = new Database(join(folder, DATABASE), { readonly: true, timeout: 30_000 });
    live.prepare(`VACUUM INTO ?`).run(copy);
    live.close();
    const db = openWhole(copy);
    const hashes = new Set(db.prepare(`SELECT hash FROM media`).pluck().all() as string[]);
    const products = db.prepare(`SELECT count(*) FROM product`).pluck().get() as number;
    const version = db.pragma('user_version', { simple: true }) as number;
    const shop =
      (db.prepare(`SELECT value FROM setting WHERE key = 'shop'`).pluck().get() as string | undefined) ?? '{}';
    db.close();
    const pictures = await filesOf(folder, 'media', (name) => hashes.has(name.split('/')[2]!));
    const others = [...(await filesOf(folder, 'films', () => true)), ...(await filesOf(folder, 'files', () => true))];
    const card: BackupCard = {
      what: 'A backup of a Dispona shop',
      version,
      hash: await hashOf(copy),
      at: at.toISOString(),
      shop: (JSON.parse(shop) as { name?: string }).name ?? '',
      products,
      pictures: hashes.size,
      files: others.length,
    };
    await writeFile(cardFile, JSON.stringify(card, undefined, 2));
    const all = [{ name: CARD, path: cardFile }, { name: DATABASE, path: copy }, ...pictures, ...others];
    await writeArchive(zip, all, (done) => tell(done, all.length * 2));
    await checkBackup(zip, undefined, (done) => tell(all.length + done, all.length * 2));
    renameSync(zip, target);
    return card;
  } finally {
    clear();
  }
}

/** The names that a backup may hold: nothing else is ever written. */
const NAME = /^(?:backup\.json|dispona\.sqlite|(?:media|films|files)\/[0-9a-f]{2}(?:\/[0-9a-z][\w.-]*){1,2})$/;

/** What a backup says of itself, without looking at the rest. Throws BackupError, ArchiveError. */
export async function readCard(path: string): Promise<BackupCard> {
  const { zip, entries } = await entriesOf(path);
  try {
    const entry = entries.find(({ fileName }) => fileName === CARD);
    const read = entry && cardSchema.safeParse(JSON.parse((await readSmall(zip, entry, 10_000)).toString()));
    if (!read?.success) throw new BackupError('This ZIP is no backup of a shop.');
    return read.data;
  } catch (error) {
    throw error instanceof SyntaxError ? new BackupError('This ZIP is no backup of a shop.') : error;
  } finally {
    zip.close();
  }
}

/**
 * Reads a backup from its beginning to its end, and unpacks it into `target` where one is given. Throws BackupError or
 * ArchiveError where anything in it is not what it says it is.
 */
export async function checkBackup(path: string, target: string | undefined, tell: Tell = () => undefined) {
  const card = await readCard(path);
  const { zip, entries } = await entriesOf(path);
  try {
    const stranger = entries.find(({ fileName }) => !NAME.test(fileName));
    if (stranger) throw new BackupError(`This is no backup of a shop: it holds “${stranger.fileName.slice(0, 80)}”.`);
    let done = 0;
    for (const entry of entries) {
      tell(done++, entries.length);
      const { fileName } = entry;
      const to = target === undefined || fileName === CARD ? undefined : join(target, ...fileName.split('/'));
      const hash = await readEntry(zip, entry, to);
      if (fileName === DATABASE && hash !== card.hash)
        throw new BackupError('The database of this backup is not the one that was put into it.');
    }
    if (!entries.some(({ fileName }) => fileName === DATABASE))
      throw new BackupError('There is no database in this backup.');
    return { card, entries };
  } finally {
    zip.close();
  }
}
