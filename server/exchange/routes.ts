import { Router, type Request } from 'express';
import multer from 'multer';
import { exchangeRoutes } from '../../contract/exchange';
import { answer, signedIn } from '../http/answer';
import { newId } from '../shared/ids';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { dropImport, listImports } from '../store/imports';
import { dropKept, putKept, readKept } from '../store/kept-columns';
import { exportedFile, exportGoods, keptExports } from './exports';
import { changeImport, importAnswer, previewImport, refusedRows, runImport, takeImport } from './imports';
import { keepMapping, takeMapping } from './mappings';
import { columnsOf, importOrRefuse } from './plan-of-file';
import { writeRows } from './write-file';

const MOST_BYTES = 300 * 1024 * 1024;
const MOST_WITHOUT_PICTURES = 30 * 1024 * 1024;
const takesTable = multer({ storage: multer.memoryStorage(), limits: { fileSize: MOST_BYTES, files: 1 } }).array(
  'files',
  1,
);

/** Goods that come in from files, and go out in them. */
export function exchangeApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, exchangeRoutes.imports, () => ({ files: listImports(catalog.db) }));
  answer(
    router,
    exchangeRoutes.addImport,
    async ({ user, request }) => {
      const [file] = (request.files as Express.Multer.File[] | undefined) ?? [];
      if (!file) throw invalidField(['files'], refusals.noFileArrived);
      const name = Buffer.from(file.originalname, 'latin1').toString('utf8').slice(0, 200);
      const isLarge = file.buffer.length > MOST_WITHOUT_PICTURES && !/\.zip$/i.test(name);
      if (isLarge) throw invalidField(['files'], refusals.tableTooLarge);
      return { id: await takeImport(catalog, user, { name, content: file.buffer }) };
    },
    takesTable,
  );
  answer(router, exchangeRoutes.importFile, ({ params }) => importAnswer(catalog, params.id!));
  answer(router, exchangeRoutes.changeImport, ({ params, body }) => changeImport(catalog, params.id!, body));
  answer(router, exchangeRoutes.dropImport, ({ params }) => {
    dropImport(catalog.db, importOrRefuse(catalog, params.id!).id);
    return { ok: true as const };
  });
  answer(router, exchangeRoutes.previewImport, ({ params, body }) => previewImport(catalog, params.id!, body));
  answer(router, exchangeRoutes.runImport, ({ params, user }) => runImport(catalog, user, params.id!));
  answer(router, exchangeRoutes.exports, () => ({
    files: keptExports(catalog),
    fields: columnsOf(catalog).map(({ key, label, explains }) => ({ key, label, explains })),
    sets: readKept<string[]>(catalog.db, 'column_set').map(({ id, name, body }) => ({ id, name, columns: body })),
  }));
  answer(router, exchangeRoutes.addExport, ({ body }) => exportGoods(catalog, body));
  answer(router, exchangeRoutes.keepColumns, ({ body: { name, columns } }) => {
    const id = newId('columns');
    putKept(catalog.db, 'column_set', { id, name, body: columns });
    return { id };
  });
  answer(router, exchangeRoutes.dropColumns, ({ params }) => {
    dropKept(catalog.db, 'column_set', params.id!);
    return { ok: true as const };
  });
  answer(router, exchangeRoutes.keepMapping, async ({ params, body }) => ({
    id: await keepMapping(catalog, params.id!, body.name),
  }));
  answer(router, exchangeRoutes.takeMapping, ({ params, body }) => takeMapping(catalog, params.id!, body.mapping));
  answer(router, exchangeRoutes.dropMapping, ({ params }) => {
    dropKept(catalog.db, 'column_mapping', params.id!);
    return { ok: true as const };
  });

  router.get('/api/exports/:id/file', signedIn, (request: Request<{ id: string }>, response) => {
    const { path, name } = exportedFile(catalog, request.params.id);
    response.set('Cache-Control', 'no-store').attachment(name).sendFile(path);
  });
  router.get('/api/imports/:id/refused.csv', signedIn, async (request: Request<{ id: string }>, response) => {
    const { name } = importOrRefuse(catalog, request.params.id);
    const { head, rows } = await refusedRows(catalog, request.params.id);
    response.set('Cache-Control', 'no-store').attachment(`refused of ${name.replace(/\.\w+$/, '')}.csv`);
    response.type('text/csv; charset=utf-8').send(await writeRows(head, rows));
  });
  return router;
}
