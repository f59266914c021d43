import { createHash, randomBytes } from 'node:crypto';
import type { Db } from '../database/connection';
import { hashPassword, isPassword } from '../shared/passwords';
import {
  deleteOtherSessions,
  deleteSession,
  insertSession,
  noteUse,
  readSessions,
  removeEndedSessions,
  sessionByToken,
  setPassword,
  userByEmail,
  userById,
  type OpenSession,
  type SessionRow,
} from '../store/people';
import { deviceWords } from './device-words';

const DAY_MS = 86_400_000;
const SESSION_DAYS = 30;
/** Without anything done for so long a session ends. */
const IDLE_DAYS = 14;
/** That a session is used is written down no more often than this. */
const NOTED_EVERY_MS = 10 * 60_000;

/** Letters of what a browser calls itself that are kept. */
const MOST_AGENT = 300;

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

/** Signs a person in; `agent`: as their browser calls itself. */
export function openSession(
  db: Db,
  { userId, agent }: { userId: string; agent: string },
  now: Date,
): { token: string; expires: Date } {
  const token = randomBytes(32).toString('base64url');
  const expires = new Date(now.getTime() + SESSION_DAYS * DAY_MS);
  insertSession(db, {
    tokenHash: tokenHash(token),
    userId,
    csrf: randomBytes(24).toString('base64url'),
    expires: expires.toISOString(),
    used: now.toISOString(),
    agent: agent.slice(0, MOST_AGENT),
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

/** So much of the hash of a token tells the sessions of a person apart. */
const placeId = (hash: string) => hash.slice(0, 16);

const place = ({ tokenHash: hash, agent, opened, used }: OpenSession, mine: string) => ({
  id: placeId(hash),
  device: deviceWords(agent),
  opened: opened || null,
  used,
  isThis: hash === mine,
});

/** Where a person is signed in; `token` is the one that asks. */
export const placesOf = (db: Db, { userId, token }: { userId: string; token: string }, now: Date) =>
  readSessions(db, userId, now.toISOString(), idleSince(now)).map((each) => place(each, tokenHash(token)));

/** Signs a person out in one of the places of `placesOf`. False where there is no such place. */
export function leavePlace(db: Db, userId: string, id: string, now: Date): boolean {
  const found = readSessions(db, userId, now.toISOString(), idleSince(now)).find(
    (each) => placeId(each.tokenHash) === id,
  );
  if (found) deleteSession(db, found.tokenHash);
  return found !== undefined;
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
