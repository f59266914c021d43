import { randomBytes } from 'node:crypto';
import type { Db } from '../database/connection';

export interface Opening {
  isClosed: boolean;
  message: string;
  /** derived from the password; null where there is none */
  password: string | null;
  key: string;
}

export function readOpening(db: Db): Opening {
  const row = db.prepare(`SELECT closed, message, password, key FROM opening`).get() as
    { closed: number; message: string; password: string | null; key: string } | undefined;
  if (!row) return { isClosed: false, message: '', password: null, key: '' };
  const { closed, ...rest } = row;
  return { ...rest, isClosed: closed === 1 };
}

export function writeOpening(db: Db, { isClosed, message, password, key }: Opening): void {
  db.prepare(
    `INSERT INTO opening (id, closed, message, password, key) VALUES (1, ?, ?, ?, ?)
     ON CONFLICT DO UPDATE SET closed = excluded.closed, message = excluded.message, password = excluded.password`,
  ).run(Number(isClosed), message, password, key === '' ? randomBytes(32).toString('base64url') : key);
}
