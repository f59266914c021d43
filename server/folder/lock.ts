import Database from 'better-sqlite3';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

/** Another process works on this folder. */
export class FolderInUseError extends Error {
  constructor(folder: string) {
    super(
      `Another Dispona is working on ${folder} already. Stop that one first, or give this one a folder of its own with DISPONA_DATA.`,
    );
  }
}

/**
 * Takes a folder for this process alone, and answers how to give it back. It is held as a lock that the system takes away
 * when a process ends, however it ends. Throws FolderInUseError.
 */
export function lockFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const lock = new Database(join(folder, 'dispona.lock'), { timeout: 0 });
  try {
    lock.pragma('journal_mode = MEMORY');
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if (String((error as { code?: string }).code).startsWith('SQLITE_BUSY')) throw new FolderInUseError(folder);
    throw error;
  }
  return () => lock.close();
}
