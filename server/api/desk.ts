import { Router, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import { deskRoutes } from '../../contract/desk';
import { historyRoutes } from '../../contract/history';
import { problemTypes } from '../../contract/problem';
import type { Catalog } from '../catalog/catalog';
import { findAnything } from '../catalog/find';
import { reverse, wholeHistory } from '../catalog/history';
import { review } from '../catalog/review';
import { needsSetup, setUp } from '../catalog/set-up';
import { listEditions } from '../database/editions';
import { invalidField, notFound, ProblemError } from '../problem';
import { checkPassword, closeSession, openSession, readSession, SESSION_COOKIE } from '../security/sign-in';
import { answer, sessionOf } from './answer';

const limitSignIns = () =>
  rateLimit({
    windowMs: 60_000,
    limit: 20,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new ProblemError({
        type: problemTypes.tooMany,
        title: 'Too many attempts. Wait a minute, then try again.',
        status: 429,
      });
    },
  });

export function deskApi(catalog: Catalog): Router {
  const router = Router();
  const signInLimit = limitSignIns();
  const { db } = catalog;

  const sessionAnswer = (session: ReturnType<typeof sessionOf>) => ({
    user: session ? { id: session.userId, name: session.name, email: session.email } : null,
    token: session?.csrf ?? null,
    needsSetup: needsSetup(db),
  });
  const signInAs = (userId: string, response: Response) => {
    const { token, expires } = openSession(db, userId, catalog.clock());
    response.cookie(SESSION_COOKIE, token, {
      httpOnly: true,
      sameSite: 'lax',
      secure: response.req.secure,
      path: '/',
      expires,
    });
    return sessionAnswer(readSession(db, token, catalog.clock()));
  };

  answer(router, deskRoutes.session, ({ response }) => sessionAnswer(sessionOf(response)));
  answer(
    router,
    deskRoutes.signIn,
    async ({ body, response }) => {
      const userId = await checkPassword(db, body.email, body.password);
      if (!userId) throw invalidField(['password'], 'E-mail and password do not go together.');
      return signInAs(userId, response);
    },
    signInLimit,
  );
  answer(router, deskRoutes.signOut, ({ response }) => {
    closeSession(db, response.locals.sessionToken as string | undefined);
    response.clearCookie(SESSION_COOKIE, { path: '/' });
    return { ok: true as const };
  });
  answer(
    router,
    deskRoutes.setUp,
    async ({ body, response }) => signInAs(await setUp(catalog, body), response),
    signInLimit,
  );

  answer(router, deskRoutes.undo, ({ user }) => reverse(catalog, () => catalog.journal.nextUndo(user), user));
  answer(router, deskRoutes.redo, ({ user }) => reverse(catalog, () => catalog.journal.nextRedo(user), user));
  answer(router, historyRoutes.all, ({ query }) => wholeHistory(catalog, query));
  answer(router, historyRoutes.reverse, ({ params, user }) => reverse(catalog, () => Number(params.id), user));
  answer(router, deskRoutes.find, ({ query }) => ({ found: findAnything(catalog, query.q) }));
  answer(router, deskRoutes.status, () => ({ changes: catalog.working.changed.size, edition: catalog.live.edition }));
  answer(router, deskRoutes.review, () => review(catalog));

  const edition = (number: number) => {
    const found = listEditions(db, 10_000).find((row) => row.number === number);
    if (!found) throw notFound('There is no such edition.');
    return found;
  };
  answer(router, deskRoutes.editions, () => ({ editions: listEditions(db, 50) }));
  answer(router, deskRoutes.putLive, ({ body, user }) => {
    if (catalog.working.changed.size === 0)
      throw invalidField(['label'], 'Nothing has changed since the live edition.');
    return edition(catalog.putLive(body.label, user));
  });
  answer(router, deskRoutes.goBack, ({ params, user }) => {
    const old = edition(Number(params.number));
    if (old.number === catalog.live.edition) throw invalidField([], 'This edition is live already.');
    return edition(catalog.goBack(old.number, `Back to edition ${old.number}`, user));
  });
  return router;
}
