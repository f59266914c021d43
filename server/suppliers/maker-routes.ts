import { Router, type Response } from 'express';
import multer from 'multer';
import { makerRoutes as routes } from '../../contract/maker';
import { answer, anySessionOf } from '../http/answer';
import { MAX_PICTURE_BYTES } from '../media/picture-store';
import { takePictures } from '../media/take-pictures';
import { invalid, invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import type { SessionRow } from '../store/people';
import { makerGood, makerOverview } from './maker';
import { importProposals } from './maker-import';
import { propose, withdraw } from './maker-proposals';

const MOST_BYTES = 10 * 1024 * 1024;
/** One byte more than allowed is let in, so that the refusal can name the file. */
const pictures = multer({ storage: multer.memoryStorage(), limits: { fileSize: MAX_PICTURE_BYTES * 2, files: 30 } });
const table = multer({ storage: multer.memoryStorage(), limits: { fileSize: MOST_BYTES, files: 1 } });

/** Who asks, if they make goods of the shop; others have the whole desk for it. */
function makerOrRefuse(response: Response): SessionRow {
  const session = anySessionOf(response);
  if (!session?.suppliers) throw notFound(refusals.notYourGoods);
  return session;
}

/** What people who make goods see of the shop, and propose. */
export function makerApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, routes.overview, ({ response }) => makerOverview(catalog, makerOrRefuse(response)));
  answer(router, routes.good, ({ params, response }) => makerGood(catalog, makerOrRefuse(response), params.id!));
  answer(router, routes.propose, ({ body, response }) => ({ id: propose(catalog, makerOrRefuse(response), body) }));
  answer(router, routes.withdraw, ({ params, response }) => {
    withdraw(catalog, makerOrRefuse(response), params.id!);
    return { ok: true as const };
  });
  answer(
    router,
    routes.addPictures,
    async ({ request, response }) => {
      makerOrRefuse(response);
      const files = (request.files as Express.Multer.File[] | undefined) ?? [];
      const { taken, refused } = await takePictures(catalog, files);
      if (taken.length === 0 && refused.length > 0)
        throw invalid(
          refused.map(({ file, message }) => ({ path: ['files', file], message })),
          refused[0]!.message,
        );
      return { pictures: taken, refused };
    },
    pictures.array('files', 30),
  );
  answer(
    router,
    routes.importGoods,
    async ({ request, response }) => {
      const maker = makerOrRefuse(response);
      const [file] = (request.files as Express.Multer.File[] | undefined) ?? [];
      if (!file) throw invalidField(['files'], refusals.noFileArrived);
      const name = Buffer.from(file.originalname, 'latin1').toString('utf8').slice(0, 200);
      return importProposals(catalog, maker, { name, content: file.buffer });
    },
    table.array('files', 1),
  );
  return router;
}
