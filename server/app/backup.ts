import { resolve } from 'node:path';
import { ArchiveError } from '../folder/archive';
import { backUp, BackupError } from '../folder/backup';
import { failureWords } from '../folder/failure';
import { FolderInUseError } from '../folder/lock';
import { restore } from '../folder/restore';

/** `backup [where]` copies the shop while it may be running; `restore <backup>` puts a copy in its place. */
const [what, given] = process.argv.slice(2);
const folder = resolve(process.env.DISPONA_DATA ?? 'data');
const now = new Date();

async function run(): Promise<void> {
  if (what === 'restore') {
    if (!given) throw new BackupError('Say which backup: npm run restore -- backups/2027-03-01T10-00-00.zip');
    const aside = await restore(resolve(given), folder, now);
    console.log(`${folder} holds the shop of ${given} now.`);
    if (aside) console.log(`What was there before is in ${aside}. Delete it when all is well.`);
    return;
  }
  const target = resolve(given ?? `backups/${now.toISOString().slice(0, 19).replace(/:/g, '-')}.zip`);
  const { products, pictures, files } = await backUp(folder, target, now);
  console.log(`Copied ${products} products, ${pictures} pictures and ${files} files to ${target}`);
}

process.umask(0o077);
run().catch((error: unknown) => {
  const isKnown = error instanceof BackupError || error instanceof ArchiveError || error instanceof FolderInUseError;
  console.error(isKnown ? error.message : (failureWords(error) ?? (error as Error).message));
  process.exitCode = 1;
});
