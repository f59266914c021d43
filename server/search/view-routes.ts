import { Router } from 'express';
import { refusals } from '../shared/refusals';
import { isSameName } from '../../core/shared/same-name';
import { viewRoutes } from '../../contract/views';
import type { Catalog } from '../state/catalog';
import { countMatching } from './queries';
import { addView, deleteView, readViews } from '../store/views';
import { newId } from '../shared/ids';
import { invalidField, notFound } from '../shared/problem';
import { answer } from '../http/answer';

/** Views of the goods that were kept. */
export function viewsApi(catalog: Catalog): Router {
  const router = Router();
  const { db, journal } = catalog;
  answer(router, viewRoutes.all, () => ({
    views: readViews(db).map((view) => ({ ...view, total: countMatching(catalog, view) })),
  }));
  answer(router, viewRoutes.add, ({ body, user }) => {
    if (readViews(db).some(({ name }) => isSameName(name, body.name)))
      throw invalidField(['name'], refusals.takenName('a view', body.name));
    const view = { id: newId('view'), ...body };
    journal.change({ did: 'viewKept', name: view.name }, catalog.actor(user), () => addView(db, view));
    return view;
  });
  answer(router, viewRoutes.remove, ({ params, user }) => {
    const view = readViews(db).find(({ id }) => id === params.id);
    if (!view) throw notFound(refusals.gone('view'));
    journal.change({ did: 'viewDeleted', name: view.name }, catalog.actor(user), () => deleteView(db, view.id));
    return { ok: true as const };
  });
  return router;
}
