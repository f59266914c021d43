/** What the system or the database says when it cannot go on. */
interface SystemFailure {
  code?: string;
}

const FULL = 'The disk is full, so nothing was saved. Make room, then try again.';
const DAMAGED =
  'The database is damaged and cannot be read. Nothing was changed. Put the last backup back with “npm run restore”; keep the damaged folder, since more may be saved from it.';
const CLOSED = 'Dispona may not write to its folder. Give the person who runs it the right to, then try again.';

const words: Readonly<Record<string, string>> = {
  SQLITE_FULL: FULL,
  ENOSPC: FULL,
  EDQUOT: FULL,
  SQLITE_CORRUPT: DAMAGED,
  SQLITE_NOTADB: DAMAGED,
  SQLITE_READONLY: CLOSED,
  SQLITE_CANTOPEN: CLOSED,
  EACCES: CLOSED,
  EPERM: CLOSED,
  EROFS: CLOSED,
};

/** Is there no room left on the disk? */
export const isDiskFull = (error: unknown): boolean => failureWords(error) === FULL;

/** A failure of disk or database in words that say what to do; undefined for others. */
export function failureWords(error: unknown): string | undefined {
  const { code } = (error ?? {}) as SystemFailure;
  // Some say more than the sort of failure, such as SQLITE_CORRUPT_VTAB.
  const sort = typeof code === 'string' ? Object.keys(words).find((each) => code.startsWith(each)) : undefined;
  return sort === undefined ? undefined : words[sort];
}
