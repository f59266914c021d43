import { createHash, randomBytes } from 'node:crypto';
import type { ApiKey } from '../../contract/elsewhere';
import { keyScopes, type KeyScope } from '../../contract/route';
import type { Db } from '../database/connection';
import { newId } from '../shared/ids';

const hashOf = (key: string) => createHash('sha256').update(key).digest('hex');
const PREFIX = 'dsp_';
const BEGINS = PREFIX.length + 6;

interface Row extends Omit<ApiKey, 'scopes'> {
  scopes: string;
}
const scopesOf = (text: string): KeyScope[] => keyScopes.filter((scope) => text.split(' ').includes(scope));

export const readKeys = (db: Db): ApiKey[] =>
  (
    db.prepare(`SELECT id, name, begins, scopes, created, used FROM api_key ORDER BY created DESC, id`).all() as Row[]
  ).map((row) => ({ ...row, scopes: scopesOf(row.scopes) }));

/** Makes a key and answers it; only what is derived from it is kept. */
export function addKey(db: Db, name: string, scopes: readonly KeyScope[], created: string): string {
  const key = PREFIX + randomBytes(24).toString('base64url');
  db.prepare(`INSERT INTO api_key (id, name, hash, begins, scopes, created) VALUES (?, ?, ?, ?, ?, ?)`).run(
    newId('key'),
    name,
    hashOf(key),
    key.slice(0, BEGINS),
    scopes.join(' '),
    created,
  );
  return key;
}

/** False where there is no such key. */
export const dropKey = (db: Db, id: string): boolean =>
  db.prepare(`DELETE FROM api_key WHERE id = ?`).run(id).changes === 1;

/** Writing down each use would make reading as slow as writing. */
const NOTED_EVERY_MS = 60_000;

/** What a key may read; undefined where it is none. That it was used is noted once a minute, where `mayWrite`. */
export function scopesOfKey(db: Db, key: string, now: Date, mayWrite: boolean): KeyScope[] | undefined {
  const row = db.prepare(`SELECT id, scopes, used FROM api_key WHERE hash = ?`).get(hashOf(key)) as
    { id: string; scopes: string; used: string | null } | undefined;
  if (!row) return undefined;
  const isDue = row.used === null || now.getTime() - Date.parse(row.used) > NOTED_EVERY_MS;
  if (isDue && mayWrite) db.prepare(`UPDATE api_key SET used = ? WHERE id = ?`).run(now.toISOString(), row.id);
  return scopesOf(row.scopes);
}
