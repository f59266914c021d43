import type { Db } from './connection';

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

export function insertSession(db: Db, tokenHash: string, userId: string, csrf: string, expires: string): void {
  db.prepare(`INSERT INTO session (token_hash, user_id, csrf, expires) VALUES (?, ?, ?, ?)`).run(
    tokenHash,
    userId,
    csrf,
    expires,
  );
}

export function sessionByToken(db: Db, tokenHash: string, now: string): SessionRow | undefined {
  return db
    .prepare(
      `SELECT user_id AS userId, name, email, csrf FROM session JOIN user ON user.id = user_id
       WHERE token_hash = ? AND expires > ?`,
    )
    .get(tokenHash, now) as SessionRow | undefined;
}

export function deleteSession(db: Db, tokenHash: string): void {
  db.prepare(`DELETE FROM session WHERE token_hash = ?`).run(tokenHash);
}
