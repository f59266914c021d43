import type { Role } from '../../contract/desk';
import type { Db } from '../database/connection';
import { statement } from '../database/statements';

/** To what somebody is limited; null for who may do all that their role may. */
export interface Limits {
  /** languages that they may translate into */
  languages: string[] | null;
  /** ids of the suppliers for whose goods they may propose changes */
  suppliers: string[] | null;
}

export interface UserRow extends Limits {
  id: string;
  email: string;
  name: string;
  /** salt and scrypt hash */
  password: string;
  role: Role;
}

type Kept<T> = Omit<T, keyof Limits> & Record<keyof Limits, string | null>;
const list = (kept: string | null) => (kept === null ? null : (JSON.parse(kept) as string[]));
const read = <T extends Limits>(row: Kept<T>): T =>
  ({ ...row, languages: list(row.languages), suppliers: list(row.suppliers) }) as T;
const written = <T extends Limits>({ languages, suppliers, ...rest }: T) => ({
  ...rest,
  languages: languages && JSON.stringify(languages),
  suppliers: suppliers && JSON.stringify(suppliers),
});

export interface SessionRow extends Limits {
  userId: string;
  name: string;
  email: string;
  role: Role;
  csrf: string;
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
      `INSERT INTO user (id, email, name, password, role, languages, suppliers)
       VALUES (@id, @email, @name, @password, @role, @languages, @suppliers)
       ON CONFLICT (email) DO UPDATE
       SET name = @name, password = @password, role = @role, languages = @languages,
         suppliers = @suppliers, gone = 0 RETURNING id`,
    )
    .pluck()
    .get({ ...written(user), email: user.email.trim().toLowerCase() }) as string;
}

export interface NewSession {
  tokenHash: string;
  userId: string;
  csrf: string;
  /** ISO instants */
  expires: string;
  used: string;
  /** as the browser calls itself */
  agent: string;
}

export function insertSession(db: Db, session: NewSession): void {
  db.prepare(
    `INSERT INTO session (token_hash, user_id, csrf, expires, used, opened, agent)
     VALUES (@tokenHash, @userId, @csrf, @expires, @used, @used, @agent)`,
  ).run(session);
}

/** The session of a token that has neither expired nor lain idle since `idleSince` (ISO instants). */
export function sessionByToken(db: Db, tokenHash: string, now: string, idleSince: string): SessionRow | undefined {
  const row = statement(
    db,
    `SELECT user_id AS userId, name, email, role, csrf, used, languages, suppliers FROM session JOIN user ON user.id = user_id
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

export interface OpenSession {
  tokenHash: string;
  agent: string;
  /** ISO instants; the first is '' for those from before it was written down */
  opened: string;
  used: string;
}

/** Where a person is signed in, the place used last first (ISO instants). */
export const readSessions = (db: Db, userId: string, now: string, idleSince: string): OpenSession[] =>
  db
    .prepare(
      `SELECT token_hash AS tokenHash, agent, opened, used FROM session
       WHERE user_id = ? AND expires > ? AND used > ? ORDER BY used DESC, token_hash`,
    )
    .all(userId, now, idleSince) as OpenSession[];

/** Ends all sessions of a person but one. */
export function deleteOtherSessions(db: Db, userId: string, tokenHash: string): void {
  db.prepare(`DELETE FROM session WHERE user_id = ? AND token_hash <> ?`).run(userId, tokenHash);
}

/** Signs a person out everywhere. */
export function endSessions(db: Db, userId: string): void {
  db.prepare(`DELETE FROM session WHERE user_id = ?`).run(userId);
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
): (Pick<UserRow, 'id' | 'name' | 'email' | 'role' | keyof Limits> & { sessions: number })[] {
  const rows = db
    .prepare(
      `SELECT id, name, email, role, languages, suppliers,
         (SELECT count(*) FROM session WHERE user_id = user.id AND expires > ?) AS sessions
       FROM user WHERE gone = 0 ORDER BY role DESC, name`,
    )
    .all(now) as Kept<UserRow & { sessions: number }>[];
  return rows.map((row) => read(row));
}

export const setRole = (db: Db, id: string, rights: Pick<UserRow, 'role' | keyof Limits>): void =>
  void db
    .prepare(`UPDATE user SET role = @role, languages = @languages, suppliers = @suppliers WHERE id = @id`)
    .run({ ...written(rights), id });

/** Somebody leaves: no password fits any more, and no session goes on. */
export function leaveShop(db: Db, id: string): void {
  db.prepare(`UPDATE user SET gone = 1, password = '' WHERE id = ?`).run(id);
  endSessions(db, id);
  db.prepare(`DELETE FROM invite WHERE invited_by = @id OR user_id = @id`).run({ id });
}

export interface InviteRow extends Limits {
  id: string;
  /** who is here already, and is to choose another password; null for somebody new */
  userId: string | null;
  email: string;
  role: Role;
  invitedBy: string;
  expires: string;
}

/** Invitations of new people that hold at `now` (ISO instant), with the names of who invited. */
export const readInvites = (db: Db, now: string): Omit<InviteRow, 'userId'>[] => {
  const rows = db
    .prepare(
      `SELECT invite.id, invite.email, invite.role, invite.languages, invite.suppliers, user.name AS invitedBy,
         expires
       FROM invite JOIN user ON user.id = invited_by WHERE expires > ? AND user_id IS NULL ORDER BY expires`,
    )
    .all(now) as Kept<Omit<InviteRow, 'userId'>>[];
  return rows.map((row) => read(row));
};

/** A new invitation takes the place of an earlier one to the same address. */
export function putInvite(db: Db, invite: InviteRow & { tokenHash: string }): void {
  db.prepare(`DELETE FROM invite WHERE email = ?`).run(invite.email);
  db.prepare(
    `INSERT INTO invite (id, user_id, token_hash, email, role, languages, suppliers, invited_by, expires)
     VALUES (@id, @userId, @tokenHash, @email, @role, @languages, @suppliers, @invitedBy, @expires)`,
  ).run(written(invite));
}

export const inviteByToken = (db: Db, tokenHash: string, now: string): InviteRow | undefined => {
  const row = db
    .prepare(
      `SELECT id, user_id AS userId, email, role, languages, suppliers, invited_by AS invitedBy, expires
       FROM invite WHERE token_hash = ? AND expires > ?`,
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
