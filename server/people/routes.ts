import { peopleRoutes } from '../../contract/people';
import { Router, type Request, type Response } from 'express';
import { refusals } from '../shared/refusals';
import { deskRoutes } from '../../contract/desk';
import type { Catalog } from '../state/catalog';
import { needsSetup, setUp } from './set-up';
import { isSameSecret } from '../shared/passwords';
import { invalidField, notFound } from '../shared/problem';
import { Attempts } from './attempts';
import { passwordProblem } from './common-passwords';
import {
  changePassword,
  checkPassword,
  closeSession,
  leavePlace,
  openSession,
  placesOf,
  readSession,
  SESSION_COOKIE,
} from './sign-in';
import { giveRole, invite, inviteOrRefuse, join, letChoosePassword, removePerson, signOutElsewhere } from './invites';
import { readSuppliers } from '../store/suppliers';
import { readOpening, writeOpening } from '../store/opening';
import { deleteInvite, readInvites, readPeople } from '../store/people';
import { anySessionOf, answer } from '../http/answer';
import { limitRequests, tooMany } from '../http/limit-requests';

export interface PeopleParts {
  catalog: Catalog;
  /** shoppers and sellers come by https */
  isSecure: boolean;
  /** what the first person must type; absent where only this machine can be reached */
  setUpCode?: string;
  log: { warn: (details: object, words: string) => void };
}

function refuseUnknownSuppliers({ db }: Catalog, ids: readonly string[] | null | undefined): void {
  const known = new Set(readSuppliers(db).map(({ id }) => id));
  if (ids?.some((id) => !known.has(id))) throw invalidField(['suppliers'], refusals.noSuchSupplier);
}

/** Signing in and out, setting the shop up, and passwords. */
export function peopleApi({ catalog, isSecure, setUpCode, log }: PeopleParts): Router {
  const router = Router();
  const limit = limitRequests(60_000, 60);
  const attempts = new Attempts();
  const { db } = catalog;

  const sessionAnswer = (session: ReturnType<typeof anySessionOf>) => ({
    user: session
      ? {
          id: session.userId,
          name: session.name,
          email: session.email,
          role: session.role,
          languages: session.languages,
          suppliers: session.suppliers,
        }
      : null,
    token: session?.csrf ?? null,
    needsSetup: needsSetup(db),
    needsCode: setUpCode !== undefined && needsSetup(db),
  });
  const signInAs = (userId: string, request: Request, response: Response) => {
    const agent = request.get('User-Agent') ?? '';
    const { token, expires } = openSession(db, { userId, agent }, catalog.clock());
    response.cookie(SESSION_COOKIE, token, { httpOnly: true, sameSite: 'lax', secure: isSecure, path: '/', expires });
    return sessionAnswer(readSession(db, token, catalog.clock()));
  };
  const refusePassword = (password: string, path: string[], about: string[]) => {
    const problem = passwordProblem(password, about);
    if (problem) throw invalidField(path, problem);
  };

  answer(router, deskRoutes.session, ({ response }) => sessionAnswer(anySessionOf(response)));
  answer(
    router,
    deskRoutes.signIn,
    async ({ body, request, response }) => {
      const address = request.ip ?? '';
      const account = body.email.trim().toLowerCase();
      const now = catalog.clock().getTime();
      if (attempts.mustWait(address, account, now)) throw tooMany();
      const userId = await checkPassword(db, body.email, body.password);
      if (!userId) {
        attempts.failed(address, account, now);
        log.warn({ address, account }, 'A sign-in failed');
        throw invalidField(['password'], refusals.wrongPassword);
      }
      attempts.succeeded(address, account);
      return signInAs(userId, request, response);
    },
    limit,
  );
  answer(router, deskRoutes.signOut, ({ response }) => {
    closeSession(db, response.locals.sessionToken as string | undefined);
    catalog.events.emit('signedOut');
    response.clearCookie(SESSION_COOKIE, { path: '/' });
    return { ok: true as const };
  });
  answer(
    router,
    deskRoutes.setUp,
    async ({ body: { code, ...body }, request, response }) => {
      if (setUpCode !== undefined && !isSameSecret(code, setUpCode)) throw invalidField(['code'], refusals.typeTheCode);
      refusePassword(body.password, ['password'], [body.name, body.email, body.shopName]);
      const id = await setUp(catalog, body);
      // Nobody comes in before there is anything to see; the set-up list ends with opening it.
      writeOpening(db, { ...readOpening(db), isClosed: true });
      return signInAs(id, request, response);
    },
    limit,
  );
  answer(
    router,
    deskRoutes.changePassword,
    async ({ body: { old, next }, user, response }) => {
      const { name, email } = anySessionOf(response)!;
      refusePassword(next, ['next'], [name, email, catalog.working.shop.settings.name]);
      const token = response.locals.sessionToken as string;
      if (!(await changePassword(db, { userId: user, token, old, next })))
        throw invalidField(['old'], refusals.notYourPassword);
      catalog.events.emit('signedOut');
      return { ok: true as const };
    },
    limit,
  );
  answer(router, peopleRoutes.people, () => {
    const now = catalog.clock().toISOString();
    return { people: readPeople(db, now), invites: readInvites(db, now) };
  });
  answer(
    router,
    peopleRoutes.invite,
    ({ body, user }) => {
      refuseUnknownSuppliers(catalog, body.suppliers);
      return invite(db, body, user, catalog.clock());
    },
    limit,
  );
  answer(router, peopleRoutes.letChoosePassword, ({ params, user }) =>
    letChoosePassword(db, params.id!, user, catalog.clock()),
  );
  answer(router, peopleRoutes.sessions, ({ user, response }) => ({
    sessions: placesOf(db, { userId: user, token: response.locals.sessionToken as string }, catalog.clock()),
  }));
  answer(router, peopleRoutes.endSession, ({ params, user }) => {
    if (!leavePlace(db, user, params.id!, catalog.clock())) throw notFound(refusals.noSuchPlace);
    catalog.events.emit('signedOut');
    return { ok: true as const };
  });

  answer(router, peopleRoutes.takeBackInvite, ({ params }) => {
    deleteInvite(db, params.id!);
    return { ok: true as const };
  });
  answer(
    router,
    peopleRoutes.invited,
    ({ query }) => {
      const { email, userId } = inviteOrRefuse(db, query.code, catalog.clock());
      return { email, shopName: catalog.working.shop.settings.name, isHere: userId !== null };
    },
    limit,
  );
  answer(
    router,
    deskRoutes.join,
    async ({ body, request, response }) => {
      const { email, userId } = inviteOrRefuse(db, body.code, catalog.clock());
      if (userId === null && body.name === '') throw invalidField(['name'], refusals.typeYourName);
      refusePassword(body.password, ['password'], [body.name, email, catalog.working.shop.settings.name]);
      const id = await join(db, body, catalog.clock());
      catalog.events.emit('signedOut');
      return signInAs(id, request, response);
    },
    limit,
  );
  answer(router, peopleRoutes.setRole, ({ params, body }) => {
    refuseUnknownSuppliers(catalog, body.suppliers);
    giveRole(db, params.id!, body);
    catalog.events.emit('signedOut');
    return { ok: true as const };
  });
  answer(router, peopleRoutes.removePerson, ({ params }) => {
    removePerson(db, params.id!);
    catalog.events.emit('signedOut');
    return { ok: true as const };
  });
  answer(router, peopleRoutes.signOutElsewhere, ({ user, response }) => {
    signOutElsewhere(db, user, response.locals.sessionToken as string);
    catalog.events.emit('signedOut');
    return { ok: true as const };
  });
  return router;
}
