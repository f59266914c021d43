import { Router } from 'express';
import { searchedRoutes } from '../../contract/searched';
import { engineRoutes } from '../../contract/engines';
import { answer } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { dropMissed } from '../store/shopper-counts';
import { changeChosen, changeNoindex, chooseListing, dropChosen, enginesAnswer, filtersAnswer } from './engines';
import { bringForwards, forwardsAnswer, missedAnswer, removeForward, setForward, takeForwards } from './forwards';
import { leadSearch, meanTheSame, searchedAnswer } from './searched';

const ok = { ok: true as const };

/** What shoppers looked for, what search engines are told, and where paths lead at which nothing stands. */
export function searchedApi(catalog: Catalog, originNow: () => string): Router {
  const router = Router();
  answer(router, searchedRoutes.searched, ({ query }) => searchedAnswer(catalog, query));
  answer(router, searchedRoutes.same, ({ user, body }) => {
    meanTheSame(catalog, user, body);
    return ok;
  });
  answer(router, searchedRoutes.lead, ({ user, body }) => {
    leadSearch(catalog, user, body);
    return ok;
  });
  answer(router, searchedRoutes.forwards, ({ query }) => forwardsAnswer(catalog, query));
  answer(router, searchedRoutes.setForward, ({ user, body }) => {
    setForward(catalog, user, body);
    return ok;
  });
  answer(router, searchedRoutes.dropForward, ({ user, body }) => {
    removeForward(catalog, user, body.path);
    return ok;
  });
  answer(router, searchedRoutes.bringForwards, ({ body }) => bringForwards(catalog, body.text));
  answer(router, searchedRoutes.takeForwards, ({ user, body }) => ({ taken: takeForwards(catalog, user, body) }));
  answer(router, searchedRoutes.missed, () => missedAnswer(catalog));
  answer(router, searchedRoutes.forgetMissed, ({ body }) => {
    dropMissed(catalog.db, body.path);
    return ok;
  });
  answer(router, engineRoutes.overview, () => enginesAnswer(catalog, originNow()));
  answer(router, engineRoutes.filters, ({ query }) => filtersAnswer(catalog, query));
  answer(router, engineRoutes.choose, ({ user, body }) => ({ id: chooseListing(catalog, user, body) }));
  answer(router, engineRoutes.changeChosen, ({ params, user, body }) => ({
    chosen: changeChosen(catalog, user, params.id!, body),
  }));
  answer(router, engineRoutes.dropChosen, ({ params, user }) => {
    dropChosen(catalog, user, params.id!);
    return ok;
  });
  answer(router, engineRoutes.setNoindex, ({ user, body }) => {
    changeNoindex(catalog, user, body);
    return ok;
  });
  return router;
}
