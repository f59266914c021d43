import { Router } from 'express';
import { bulkRoutes } from '../../contract/bulk';
import { previewBulk, productsOf, runBulk } from '../catalog/bulk';
import type { Catalog } from '../catalog/catalog';
import { goodsRow } from '../catalog/goods';
import { answer } from './answer';

/** What is done to many products at once, and long work. */
export function bulkApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, bulkRoutes.which, ({ body }) => {
    const products = productsOf(catalog, body);
    return { total: products.length, rows: products.slice(0, body.limit).map((product) => goodsRow(catalog, product)) };
  });
  answer(router, bulkRoutes.preview, ({ body }) => previewBulk(catalog, body));
  answer(router, bulkRoutes.run, ({ body, user }) => runBulk(catalog, user, body));
  answer(router, bulkRoutes.jobs, () => ({ jobs: catalog.jobs.all }));
  answer(router, bulkRoutes.cancel, ({ params }) => catalog.jobs.cancel(params.id!));
  return router;
}
