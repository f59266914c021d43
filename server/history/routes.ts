import { Router } from 'express';
import { deskRoutes } from '../../contract/desk';
import { goodsRoutes } from '../../contract/goods';
import { historyRoutes } from '../../contract/history';
import { answer } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { nextOf, nextOrRefuse, productHistory, reverse, wholeHistory } from './history';

/** What was changed, and taking it back. */
export function historyApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, deskRoutes.undo, ({ query, user }) =>
    reverse(catalog, () => nextOrRefuse(catalog, 'undo', user, query.of), user),
  );
  answer(router, deskRoutes.redo, ({ query, user }) =>
    reverse(catalog, () => nextOrRefuse(catalog, 'redo', user, query.of), user),
  );
  answer(router, historyRoutes.all, ({ query }) => wholeHistory(catalog, query));
  answer(router, historyRoutes.reverse, ({ params, user }) => reverse(catalog, () => Number(params.id), user));
  answer(router, goodsRoutes.history, ({ params }) => productHistory(catalog, params.id!));
  answer(router, deskRoutes.status, ({ user }) => ({
    changes: catalog.working.changed.size,
    edition: catalog.live.edition,
    timeZone: catalog.working.shop.settings.timeZone,
    undo: nextOf(catalog, 'undo', user),
    redo: nextOf(catalog, 'redo', user),
  }));
  return router;
}
