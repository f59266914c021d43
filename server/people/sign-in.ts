import { createHash, randomBytes } from 'node:crypto';
import type { Db } from '../database/connection';
import { hashPassword, isPassword } from '../shared/passwords';
import {
  deleteOtherSessions,
  deleteSession,
  insertSession,
  noteUse,
  removeEndedSessions,
  sessionByToken,
  setPassword,
  userByEmail,
  userById,
  type SessionRow,
} from '../store/people';

const DAY_MS = 86_400_000;
const SESSION_DAYS = 30;
/** Without anything done for so long a session ends. */
const IDLE_DAYS = 14;
/** That a session is used is written down no more often than this. */
const NOTED_EVERY_MS = 10 * 60_000;

export const SESSION_COOKIE = 'dispona_session';

/** What of a secret is kept, so that whoever reads the database cannot use it. */
export const tokenHash = (token: string) => createHash('sha256').update(token).digest('hex');

/** Someone who does not exist costs as much time as someone with a wrong password. */
const nobody = hashPassword(randomBytes(16).toString('hex'));

/** The id of the person, or undefined when e-mail and password do not go together. */
export async function checkPassword(db: Db, email: string, password: string): Promise<string | undefined> {
  const user = userByEmail(db, email);
  const isRight = await isPassword(password, user?.password ?? (await nobody));
  return user && isRight ? user.id : undefined;
}

export function openSession(db: Db, userId: string, now: Date): { token: string; expires: Date } {
  const token = randomBytes(32).toString('base64url');
  const expires = new Date(now.getTime() + SESSION_DAYS * DAY_MS);
  insertSession(db, {
    tokenHash: tokenHash(token),
    userId,
    csrf: randomBytes(24).toString('base64url'),
    expires: expires.toISOString(),
    used: now.toISOString(),
  });
  return { token, expires };
}

const idleSince = (now: Date) => new Date(now.getTime() - IDLE_DAYS * DAY_MS).toISOString();

/** The session of a token, if it has not ended; notes now and then that it is used. */
export function readSession(db: Db, token: string | undefined, now: Date): SessionRow | undefined {
  if (!token) return undefined;
  const session = sessionByToken(db, tokenHash(token), now.toISOString(), idleSince(now));
  if (session && now.getTime() - Date.parse(session.used) > NOTED_EVERY_MS)
    noteUse(db, tokenHash(token), now.toISOString());
  return session;
}

/** Forgets sessions that have ended. */
export const clearSessions = (db: Db, now: Date): number => removeEndedSessions(db, now.toISOString(), idleSince(now));

/** Gives a person another password, and ends all their other sessions. False when the old one is wrong. */
export async function changePassword(
  db: Db,
  { userId, token, old, next }: { userId: string; token: string; old: string; next: string },
): Promise<boolean> {
  const user = userById(db, userId);
  if (!user || !(await isPassword(old, user.password))) return false;
  setPassword(db, userId, await hashPassword(next));
  deleteOtherSessions(db, userId, tokenHash(token));
  return true;
}

export function closeSession(db: Db, token: string | undefined): void {
  if (token) deleteSession(db, tokenHash(token));
}
