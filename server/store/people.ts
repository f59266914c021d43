import type { Role } from '../../contract/desk';
import type { Db } from '../database/connection';
import { statement } from '../database/statements';

export interface UserRow {
  id: string;
  email: string;
  name: string;
  /** salt and scrypt hash */
  password: string;
  role: Role;
  /** languages that the person may translate into, and nothing else; null for who may do all that their role may */
  languages: string[] | null;
}

type Kept<T> = Omit<T, 'languages'> & { languages: string | null };
const read = <T extends { languages: string[] | null }>(row: Kept<T>): T =>
  ({ ...row, languages: row.languages === null ? null : (JSON.parse(row.languages) as string[]) }) as T;
const written = (languages: string[] | null) => languages && JSON.stringify(languages);

export interface SessionRow {
  userId: string;
  name: string;
  email: string;
  role: Role;
  csrf: string;
  /** languages that the person may translate into, and nothing else; null for who may do all that their role may */
  languages: string[] | null;
  /** ISO instant at which it was noted last that it is used */
  used: string;
}

export function countUsers(db: Db): number {
  return db.prepare(`SELECT count(*) FROM user WHERE gone = 0`).pluck().get() as number;
}

export function userByEmail(db: Db, email: string): UserRow | undefined {
  const row = db.prepare(`SELECT * FROM user WHERE email = ? AND gone = 0`).get(email.trim().toLowerCase()) as
    Kept<UserRow> | undefined;
  return row && read(row);
}

/** Adds a person; somebody of this address who left comes back as who they were. Answers their id. */
export function insertUser(db: Db, user: UserRow): string {
  return db
    .prepare(
      `INSERT INTO user (id, email, name, password, role, languages)
       VALUES (@id, @email, @name, @password, @role, @languages)
       ON CONFLICT (email) DO UPDATE
       SET name = @name, password = @password, role = @role, languages = @languages, gone = 0 RETURNING id`,
    )
    .pluck()
    .get({ ...user, email: user.email.trim().toLowerCase(), languages: written(user.languages) }) as string;
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
  const row = statement(
    db,
    `SELECT user_id AS userId, name, email, role, csrf, used, languages FROM session JOIN user ON user.id = user_id
     WHERE token_hash = ? AND expires > ? AND used > ?`,
  ).get(tokenHash, now, idleSince) as Kept<SessionRow> | undefined;
  return row && read(row);
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
  const row = db.prepare(`SELECT * FROM user WHERE id = ? AND gone = 0`).get(id) as Kept<UserRow> | undefined;
  return row && read(row);
}

export function setPassword(db: Db, id: string, hash: string): void {
  db.prepare(`UPDATE user SET password = ? WHERE id = ?`).run(hash, id);
}

export function deleteSession(db: Db, tokenHash: string): void {
  db.prepare(`DELETE FROM session WHERE token_hash = ?`).run(tokenHash);
}

/** People who can sign in, owners first, each with the number of sessions that have not ended (`now`: ISO instant). */
export function readPeople(
  db: Db,
  now: string,
): (Pick<UserRow, 'id' | 'name' | 'email' | 'role' | 'languages'> & { sessions: number })[] {
  const rows = db
    .prepare(
      `SELECT id, name, email, role, languages,
         (SELECT count(*) FROM session WHERE user_id = user.id AND expires > ?) AS sessions
       FROM user WHERE gone = 0 ORDER BY role DESC, name`,
    )
    .all(now) as Kept<UserRow & { sessions: number }>[];
  return rows.map((row) => read(row));
}

export const setRole = (db: Db, id: string, { role, languages }: Pick<UserRow, 'role' | 'languages'>): void =>
  void db.prepare(`UPDATE user SET role = ?, languages = ? WHERE id = ?`).run(role, written(languages), id);

/** Somebody leaves: no password fits any more, and no session goes on. */
export function leaveShop(db: Db, id: string): void {
  db.prepare(`UPDATE user SET gone = 1, password = '' WHERE id = ?`).run(id);
  db.prepare(`DELETE FROM session WHERE user_id = ?`).run(id);
  db.prepare(`DELETE FROM invite WHERE invited_by = ?`).run(id);
}

export interface InviteRow {
  id: string;
  email: string;
  role: Role;
  languages: string[] | null;
  invitedBy: string;
  expires: string;
}

/** Invitations that hold at `now` (ISO instant), with the names of who invited. */
export const readInvites = (db: Db, now: string): InviteRow[] => {
  const rows = db
    .prepare(
      `SELECT invite.id, invite.email, invite.role, invite.languages, user.name AS invitedBy, expires
       FROM invite JOIN user ON user.id = invited_by WHERE expires > ? ORDER BY expires`,
    )
    .all(now) as Kept<InviteRow>[];
  return rows.map((row) => read(row));
};

/** A new invitation takes the place of an earlier one to the same address. */
export function putInvite(db: Db, invite: InviteRow & { tokenHash: string }): void {
  db.prepare(`DELETE FROM invite WHERE email = ?`).run(invite.email);
  db.prepare(
    `INSERT INTO invite (id, token_hash, email, role, languages, invited_by, expires)
     VALUES (@id, @tokenHash, @email, @role, @languages, @invitedBy, @expires)`,
  ).run({ ...invite, languages: written(invite.languages) });
}

export const inviteByToken = (db: Db, tokenHash: string, now: string): InviteRow | undefined => {
  const row = db
    .prepare(
      `SELECT id, email, role, languages, invited_by AS invitedBy, expires FROM invite WHERE token_hash = ? AND expires > ?`,
    )
    .get(tokenHash, now) as Kept<InviteRow> | undefined;
  return row && read(row);
};

/** False where it was taken up, or back, already. */
export const deleteInvite = (db: Db, id: string): boolean =>
  db.prepare(`DELETE FROM invite WHERE id = ?`).run(id).changes > 0;

/** Up to which change a person has looked at what others did; 0 for who never did. */
export const lookedAt = (db: Db, userId: string): number =>
  (db.prepare(`SELECT looked_at FROM user WHERE id = ?`).pluck().get(userId) as number | undefined) ?? 0;

export function noteLookedAt(db: Db, userId: string, changeId: number): void {
  db.prepare(`UPDATE user SET looked_at = ? WHERE id = ?`).run(changeId, userId);
}
