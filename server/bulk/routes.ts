import { Router } from 'express';
import { bulkRoutes } from '../../contract/bulk';
import { goodsRoutes } from '../../contract/goods';
import { sheetRoutes } from '../../contract/sheet';
import { feature, previewBulk, runBulk } from './bulk';
import { productsOf } from './queries';
import type { Catalog } from '../state/catalog';
import { goodsRow } from '../products/queries';
import { mergeProducts, splitProduct } from './merge-split';
import { readSheet, saveSheet } from './sheet';
import { answer } from '../http/answer';

/** What is done to many products at once, by an action or in a sheet, and long work. */
export function bulkApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, bulkRoutes.which, ({ body }) => {
    const products = productsOf(catalog, body);
    return { total: products.length, rows: products.slice(0, body.limit).map((product) => goodsRow(catalog, product)) };
  });
  answer(router, bulkRoutes.preview, ({ body }) => previewBulk(catalog, body));
  answer(router, bulkRoutes.run, ({ body, user }) => runBulk(catalog, user, body));
  answer(router, goodsRoutes.feature, async ({ body: { ids, featured }, user }) => {
    await feature(catalog, user, ids, featured);
    return { ok: true as const };
  });
  answer(router, bulkRoutes.merge, ({ body, user }) => ({ id: mergeProducts(catalog, user, body) }));
  answer(router, bulkRoutes.split, ({ params, body, user }) => ({
    ids: splitProduct(catalog, user, params.id!, body.optionId),
  }));
  answer(router, sheetRoutes.read, ({ body }) => readSheet(catalog, body));
  answer(router, sheetRoutes.save, ({ body, user }) => saveSheet(catalog, user, body));
  answer(router, bulkRoutes.jobs, () => ({ jobs: catalog.jobs.all }));
  answer(router, bulkRoutes.cancel, ({ params }) => catalog.jobs.cancel(params.id!));
  return router;
}
