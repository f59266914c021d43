import { Router } from 'express';
import { checks } from '../../core/loose-ends/checks';
import { looseEndRoutes as routes } from '../../contract/loose-ends';
import { answer } from '../http/answer';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { putAside, takeUpAgain } from '../store/loose-aside';
import { looseEndsOf } from './queries';

/** What is unfinished or odd. `lastBackup`: when the last one was made (ISO), null where none was. */
export function looseEndsApi(catalog: Catalog, lastBackup: () => Promise<string | null>): Router {
  const router = Router();
  const tell = () => catalog.events.emit('event', { type: 'changed', id: 0, subjects: [] });
  answer(router, routes.count, async () => ({ total: looseEndsOf(catalog, await lastBackup()).total }));
  answer(router, routes.all, async () => looseEndsOf(catalog, await lastBackup()));
  answer(router, routes.putAside, ({ body }) => {
    if (!checks.some(({ key }) => key === body.check)) throw notFound(refusals.noSuchCheck);
    putAside(catalog.db, body);
    tell();
    return { ok: true as const };
  });
  answer(router, routes.takeUp, ({ body }) => {
    takeUpAgain(catalog.db, body);
    tell();
    return { ok: true as const };
  });
  return router;
}
