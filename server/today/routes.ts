import { Router } from 'express';
import { todayRoutes as routes } from '../../contract/today';
import { answer } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { noteLookedAt } from '../store/people';
import { today } from './queries';

/** The first look of the day. `lastBackup`: when the last one was made (ISO), null where none was. */
export function todayApi(catalog: Catalog, lastBackup: () => Promise<string | null>): Router {
  const router = Router();
  answer(router, routes.today, async ({ query, user }) => today(catalog, query.days, user, await lastBackup()));
  answer(router, routes.looked, ({ user }) => {
    noteLookedAt(catalog.db, user, catalog.journal.latest);
    return { ok: true as const };
  });
  return router;
}
