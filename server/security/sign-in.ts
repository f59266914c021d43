import { createHash, randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import type { Db } from '../database/connection';
import { deleteSession, insertSession, sessionByToken, userByEmail, type SessionRow } from '../database/people';

const derive = promisify(scrypt) as (password: string, salt: string, length: number) => Promise<Buffer>;
const KEY_LENGTH = 64;
const SESSION_DAYS = 30;

export const SESSION_COOKIE = 'dispona_session';

const tokenHash = (token: string) => createHash('sha256').update(token).digest('hex');

export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16).toString('hex');
  return `${salt}:${(await derive(password, salt, KEY_LENGTH)).toString('hex')}`;
}

async function matches(password: string, stored: string): Promise<boolean> {
  const [salt = '', hash = ''] = stored.split(':');
  const expected = Buffer.from(hash, 'hex');
  const actual = await derive(password, salt, KEY_LENGTH);
  return expected.length === actual.length && timingSafeEqual(expected, actual);
}

/** Someone who does not exist costs as much time as someone with a wrong password. */
const nobody = hashPassword(randomBytes(16).toString('hex'));

/** The id of the person, or undefined when e-mail and password do not go together. */
export async function checkPassword(db: Db, email: string, password: string): Promise<string | undefined> {
  const user = userByEmail(db, email);
  const isRight = await matches(password, user?.password ?? (await nobody));
  return user && isRight ? user.id : undefined;
}

export function openSession(db: Db, userId: string, now: Date): { token: string; expires: Date } {
  const token = randomBytes(32).toString('base64url');
  const expires = new Date(now.getTime() + SESSION_DAYS * 86_400_000);
  insertSession(db, tokenHash(token), userId, randomBytes(24).toString('base64url'), expires.toISOString());
  return { token, expires };
}

export function readSession(db: Db, token: string | undefined, now: Date): SessionRow | undefined {
  return token ? sessionByToken(db, tokenHash(token), now.toISOString()) : undefined;
}

export function closeSession(db: Db, token: string | undefined): void {
  if (token) deleteSession(db, tokenHash(token));
}
