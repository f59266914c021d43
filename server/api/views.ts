import { Router } from 'express';
import { viewRoutes } from '../../contract/views';
import type { Catalog } from '../catalog/catalog';
import { countMatching } from '../catalog/goods-list';
import { addView, deleteView, readViews } from '../database/views';
import { newId } from '../ids';
import { notFound } from '../problem';
import { answer } from './answer';

/** Views of the goods that were kept. */
export function viewsApi(catalog: Catalog): Router {
  const router = Router();
  const { db, journal } = catalog;
  answer(router, viewRoutes.all, () => ({
    views: readViews(db).map((view) => ({ ...view, total: countMatching(catalog, view) })),
  }));
  answer(router, viewRoutes.add, ({ body, user }) => {
    const view = { id: newId('view'), ...body };
    journal.change(`Kept the view “${view.name}”`, catalog.actor(user), () => addView(db, view));
    return view;
  });
  answer(router, viewRoutes.remove, ({ params, user }) => {
    const view = readViews(db).find(({ id }) => id === params.id);
    if (!view) throw notFound('This view does not exist any more.');
    journal.change(`Deleted the view “${view.name}”`, catalog.actor(user), () => deleteView(db, view.id));
    return { ok: true as const };
  });
  return router;
}
