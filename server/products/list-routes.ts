import { Router } from 'express';
import { optionListRoutes, specSheetRoutes } from '../../contract/lists';
import type { Catalog } from '../state/catalog';
import { changeOptionList, createOptionList, optionLists, removeOptionList } from './option-list-writes';
import { changeSpecSheet, createSpecSheet, removeSpecSheet, specSheets } from './spec-sheet-writes';
import { answer } from '../http/answer';

/** What products share: spec sheets and option lists. */
export function listsApi(catalog: Catalog): Router {
  const router = Router();
  const ok = { ok: true as const };
  answer(router, specSheetRoutes.list, () => ({ sheets: specSheets(catalog) }));
  answer(router, specSheetRoutes.create, ({ body, user }) => ({ id: createSpecSheet(catalog, user, body.name) }));
  answer(router, specSheetRoutes.update, ({ params, body, user }) => {
    changeSpecSheet(catalog, user, params.id!, body);
    return ok;
  });
  answer(router, specSheetRoutes.remove, ({ params, user }) => {
    removeSpecSheet(catalog, user, params.id!);
    return ok;
  });
  answer(router, optionListRoutes.list, () => ({ lists: optionLists(catalog) }));
  answer(router, optionListRoutes.create, ({ body, user }) => ({ id: createOptionList(catalog, user, body) }));
  answer(router, optionListRoutes.update, ({ params, body, user }) => ({
    changed: changeOptionList(catalog, user, params.id!, body),
  }));
  answer(router, optionListRoutes.remove, ({ params, user }) => {
    removeOptionList(catalog, user, params.id!);
    return ok;
  });
  return router;
}
