import { peopleRoutes } from '../../contract/people';
import { randomBytes } from 'node:crypto';
import type { deskRoutes, Role } from '../../contract/desk';
import type { AnswerOf, BodyOf } from '../../contract/route';
import type { Db } from '../database/connection';
import { newId } from '../shared/ids';
import { hashPassword } from '../shared/passwords';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import {
  deleteInvite,
  deleteOtherSessions,
  endSessions,
  insertUser,
  inviteByToken,
  leaveShop,
  putInvite,
  readPeople,
  setPassword,
  setRole,
  userByEmail,
  userById,
  type InviteRow,
} from '../store/people';
import { tokenHash } from './sign-in';

/** An invitation holds for so long. */
const VALID_MS = 7 * 86_400_000;
/** And a link for another password for so long. */
const RESET_MS = 86_400_000;

/** Invites somebody who is not here yet. The code is told this once; the database has a hash of it. */
export function invite(
  db: Db,
  { email: typed, role, languages = null, suppliers = null }: BodyOf<typeof peopleRoutes.invite>,
  invitedBy: string,
  now: Date,
): AnswerOf<typeof peopleRoutes.invite> {
  const email = typed.trim().toLowerCase();
  if (userByEmail(db, email)) throw invalidField(['email'], refusals.isHereAlready);
  const code = randomBytes(24).toString('base64url');
  const expires = new Date(now.getTime() + VALID_MS).toISOString();
  const rights = { role, languages, suppliers };
  const made = { id: newId('invite'), userId: null, tokenHash: tokenHash(code), expires };
  putInvite(db, { ...made, ...rights, email, invitedBy });
  return { code, email, expires };
}

/** Lets somebody who is here choose another password, by a link that works once. Until then the old one goes on. */
export function letChoosePassword(
  db: Db,
  id: string,
  invitedBy: string,
  now: Date,
): AnswerOf<typeof peopleRoutes.invite> {
  const person = userById(db, id);
  if (!person) throw notFound(refusals.noSuchPerson);
  const { email, role, languages, suppliers } = person;
  const code = randomBytes(24).toString('base64url');
  const expires = new Date(now.getTime() + RESET_MS).toISOString();
  const made = { id: newId('invite'), userId: id, tokenHash: tokenHash(code), expires };
  putInvite(db, { ...made, role, languages, suppliers, email, invitedBy });
  return { code, email, expires };
}

/** The invitation of a code; refused when it was used, taken back, or is too old. */
export function inviteOrRefuse(db: Db, code: string, now: Date): InviteRow {
  const found = inviteByToken(db, tokenHash(code), now.toISOString());
  if (!found) throw notFound(refusals.inviteIsOver);
  return found;
}

/** Makes the account of somebody who was invited, or gives another password to who is here; once. Answers their id. */
export async function join(
  db: Db,
  { code, name, password }: BodyOf<typeof deskRoutes.join>,
  now: Date,
): Promise<string> {
  const hash = await hashPassword(password);
  const { id, userId, email, role, languages, suppliers } = inviteOrRefuse(db, code, now);
  // Of two who take it up in the same moment one is first.
  if (!deleteInvite(db, id)) throw notFound(refusals.inviteIsOver);
  if (userId !== null) {
    setPassword(db, userId, hash);
    endSessions(db, userId);
    return userId;
  }
  return insertUser(db, { id: newId('user'), name, email, password: hash, role, languages, suppliers });
}

/** The person, unless they are the only owner. */
function replaceable(db: Db, id: string): { role: Role } {
  const person = userById(db, id);
  if (!person) throw notFound(refusals.noSuchPerson);
  const owners = readPeople(db, '').filter(({ role }) => role === 'owner');
  if (person.role === 'owner' && owners.length === 1) throw invalidField(['role'], refusals.ownersStay);
  return person;
}

export function giveRole(db: Db, id: string, rights: BodyOf<typeof peopleRoutes.setRole>): void {
  const { role, languages = null, suppliers = null } = rights;
  if (role === 'helper') replaceable(db, id);
  else if (!userById(db, id)) throw notFound(refusals.noSuchPerson);
  setRole(db, id, { role, languages, suppliers });
}

/** Somebody cannot sign in any more, wherever they are signed in now. */
export function removePerson(db: Db, id: string): void {
  replaceable(db, id);
  leaveShop(db, id);
}

/** Ends all sessions of a person but the one of this token. */
export const signOutElsewhere = (db: Db, userId: string, token: string): void =>
  deleteOtherSessions(db, userId, tokenHash(token));
