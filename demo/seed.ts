import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { Catalog } from '../server/state/catalog';
import { needsSetup } from '../server/people/set-up';
import { FolderInUseError, lockFolder } from '../server/folder/lock';
import { seedDemo } from './seed-demo';

const DATABASE = 'dispona.sqlite';
const LOCK = 'dispona.lock';
const DAY_MS = 86_400_000;

/** Is there a shop in the folder that somebody has set up? */
function holdsShop(folder: string): boolean {
  if (!existsSync(join(folder, DATABASE))) return false;
  const catalog = new Catalog(folder);
  const isSetUp = !needsSetup(catalog.db);
  catalog.close();
  return isSetUp;
}

/**
 * Seeds a data folder with the demo shop, whole or not at all: the shop is made in a folder inside it and moved out when it
 * is finished, the database last. Leaves a folder that holds a shop alone.
 */
async function seed(folder: string): Promise<void> {
  if (holdsShop(folder)) return console.log('There is a shop already; it stays as it is.');
  // Nobody else is to begin a shop there meanwhile.
  const unlock = lockFolder(folder);
  const making = join(folder, 'seeding');
  rmSync(making, { recursive: true, force: true });
  mkdirSync(making, { recursive: true });
  let back = 0;
  const catalog = new Catalog(making, () => new Date(Date.now() - back));
  try {
    await seedDemo(
      catalog,
      (line) => console.log(line),
      true,
      (daysAgo) => {
        back = daysAgo * DAY_MS;
        catalog.passTime();
      },
    );
    catalog.db.pragma('wal_checkpoint(TRUNCATE)');
  } finally {
    catalog.close();
  }
  const names = readdirSync(making).filter((name) => !name.startsWith(DATABASE) && name !== LOCK);
  for (const name of [...names, DATABASE]) {
    rmSync(join(folder, name), { recursive: true, force: true });
    renameSync(join(making, name), join(folder, name));
  }
  rmSync(making, { recursive: true, force: true });
  unlock();
}

process.umask(0o077);
seed(resolve(process.env.DISPONA_DATA ?? 'data')).catch((error: unknown) => {
  console.error(error instanceof FolderInUseError ? error.message : error);
  process.exitCode = 1;
});
