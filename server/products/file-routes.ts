import { Router, type RequestHandler } from 'express';
import multer, { diskStorage, MulterError } from 'multer';
import { refusals } from '../shared/refusals';
import { fileRoleSchema, MAX_FILE_BYTES } from '../../core/model/product-file';
import { goodsRoutes } from '../../contract/goods';
import type { Catalog } from '../state/catalog';
import { addFile, refuseFile } from './file-writes';
import { productAnswer } from './queries';
import { productOrRefuse } from '../state/product-or-refuse';
import { arrivingFolder, dropArrived, keepFile } from '../media/file-store';
import { invalidField } from '../shared/problem';
import { answer } from '../http/answer';

/** Lets one file arrive on disk, however large it is, up to what a file may have. */
function arrive(folder: string): RequestHandler {
  const take = multer({
    storage: diskStorage({ destination: arrivingFolder(folder) }),
    limits: { fileSize: MAX_FILE_BYTES, files: 1 },
  }).array('files', 1);
  return (request, response, next) => {
    // Before anything arrives: a request that will be refused leaves no file behind.
    if (!fileRoleSchema.safeParse(request.query.role).success) throw invalidField(['role'], refusals.fileRoles);
    take(request, response, (error: unknown) =>
      next(
        error instanceof MulterError && error.code === 'LIMIT_FILE_SIZE'
          ? invalidField(['files'], refusals.fileTooLarge)
          : error,
      ),
    );
  };
}

/** Files of products: downloads, samples and manuals. */
export function filesApi(catalog: Catalog): Router {
  const router = Router();
  answer(
    router,
    goodsRoutes.addFile,
    async ({ params, query, user, request }) => {
      const file = (request.files as Express.Multer.File[] | undefined)?.[0];
      if (!file) throw invalidField(['files'], refusals.noFileArrived);
      try {
        refuseFile(productOrRefuse(catalog, params.id!), query.role);
        if (file.size === 0) throw invalidField(['files'], refusals.fileEmpty);
        const name = Buffer.from(file.originalname, 'latin1').toString('utf8');
        const content = await keepFile(catalog.filesFolder, file.path);
        addFile(catalog, user, params.id!, { role: query.role, name, bytes: file.size, content });
      } finally {
        await dropArrived(file.path);
      }
      return productAnswer(catalog, params.id!);
    },
    arrive(catalog.filesFolder),
  );
  return router;
}
