import type { Db } from '../database/connection';
import { statement } from '../database/statements';

export interface UserRow {
  id: string;
  email: string;
  name: string;
  /** salt and scrypt hash */
  password: string;
}

export interface SessionRow {
  userId: string;
  name: string;
  email: string;
  csrf: string;
  /** ISO instant at which it was noted last that it is used */
  used: string;
}

export function countUsers(db: Db): number {
  return db.prepare(`SELECT count(*) FROM user`).pluck().get() as number;
}

export function userByEmail(db: Db, email: string): UserRow | undefined {
  return db.prepare(`SELECT * FROM user WHERE email = ?`).get(email.trim().toLowerCase()) as UserRow | undefined;
}

export function insertUser(db: Db, user: UserRow): void {
  db.prepare(`INSERT INTO user (id, email, name, password) VALUES (@id, @email, @name, @password)`).run({
    ...user,
    email: user.email.trim().toLowerCase(),
  });
}

export interface NewSession {
  tokenHash: string;
  userId: string;
  csrf: string;
  /** ISO instants */
  expires: string;
  used: string;
}

export function insertSession(db: Db, session: NewSession): void {
  db.prepare(
    `INSERT INTO session (token_hash, user_id, csrf, expires, used) VALUES (@tokenHash, @userId, @csrf, @expires, @used)`,
  ).run(session);
}

/** The session of a token that has neither expired nor lain idle since `idleSince` (ISO instants). */
export function sessionByToken(db: Db, tokenHash: string, now: string, idleSince: string): SessionRow | undefined {
  return statement(
    db,
    `SELECT user_id AS userId, name, email, csrf, used FROM session JOIN user ON user.id = user_id
     WHERE token_hash = ? AND expires > ? AND used > ?`,
  ).get(tokenHash, now, idleSince) as SessionRow | undefined;
}

export function noteUse(db: Db, tokenHash: string, now: string): void {
  db.prepare(`UPDATE session SET used = ? WHERE token_hash = ?`).run(now, tokenHash);
}

/** Forgets sessions that have expired or lain idle since `idleSince` (ISO instants). */
export function removeEndedSessions(db: Db, now: string, idleSince: string): number {
  return db.prepare(`DELETE FROM session WHERE expires <= ? OR used <= ?`).run(now, idleSince).changes;
}

/** Ends all sessions of a person but one. */
export function deleteOtherSessions(db: Db, userId: string, tokenHash: string): void {
  db.prepare(`DELETE FROM session WHERE user_id = ? AND token_hash <> ?`).run(userId, tokenHash);
}

export function userById(db: Db, id: string): UserRow | undefined {
  return db.prepare(`SELECT * FROM user WHERE id = ?`).get(id) as UserRow | undefined;
}

export function setPassword(db: Db, id: string, hash: string): void {
  db.prepare(`UPDATE user SET password = ? WHERE id = ?`).run(hash, id);
}

export function deleteSession(db: Db, tokenHash: string): void {
  db.prepare(`DELETE FROM session WHERE token_hash = ?`).run(tokenHash);
}
