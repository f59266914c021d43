import Database from 'better-sqlite3';
import { chmodSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { carryDocuments, carryJournal } from './upgrade/carry-over';
import { completeEditions } from './upgrade/complete-editions';
import { OLD_NAMES, renameInDocuments } from './upgrade/plain-names';
import { OLD_SECTIONS, reshapeSections } from './upgrade/section-shapes';
import type { Db } from './db';
import { installJournal } from './journal-triggers';

export type { Db } from './db';

/** The database was written by a newer Dispona than this one. */
export class NewerDatabaseError extends Error {}

const migrationsFolder = join(dirname(fileURLToPath(import.meta.url)), 'migrations');

function migrations(): { version: number; sql: string }[] {
  return readdirSync(migrationsFolder)
    .filter((name) => /^\d{3}-.*\.sql$/.test(name))
    .sort()
    .map((name) => ({ version: Number(name.slice(0, 3)), sql: readFileSync(join(migrationsFolder, name), 'utf8') }));
}

/** The newest shape of the database that this Dispona knows. */
export const newestVersion = () => migrations().at(-1)?.version ?? 0;

/** What the SQL of a migration cannot do, by its version. */
const work: Readonly<Record<number, (db: Db) => void>> = { 11: completeEditions };

/** Brings the database up to this version, with the journal and the editions that it holds, or leaves it as it was. */
function migrate(db: Db): void {
  const steps = migrations();
  const current = db.pragma('user_version', { simple: true }) as number;
  const newest = newestVersion();
  if (current > newest)
    throw new NewerDatabaseError(
      `This database is of version ${current}; this Dispona knows versions up to ${newest}. Start the newer Dispona instead.`,
    );
  if (current === newest) return;
  const isNew = current === 0;
  db.transaction(() => {
    if (!isNew && current <= OLD_NAMES) renameInDocuments(db);
    if (!isNew && current <= OLD_SECTIONS) reshapeSections(db);
    for (const { version, sql } of steps) {
      if (version <= current) continue;
      db.exec(sql);
      if (!isNew) work[version]?.(db);
    }
    if (!isNew) {
      carryJournal(db);
      carryDocuments(db);
    }
    db.pragma(`user_version = ${newest}`);
  }).immediate();
}

/** Opens the database in `folder`, makes it when there is none, and brings it up to this version. */
export function openDatabase(folder: string): Db {
  mkdirSync(folder, { recursive: true });
  const path = join(folder, 'dispona.sqlite');
  const db = new Database(path);
  // Nobody else on this machine is to read it, whoever made it.
  chmodSync(path, 0o600);
  try {
    return prepared(db);
  } catch (error) {
    db.close();
    throw error;
  }
}

function prepared(db: Db): Db {
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = NORMAL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  // Large changes spill to the disk again and again with the usual 2 MB.
  db.pragma('cache_size = -65536');
  migrate(db);
  installJournal(db);
  return db;
}
