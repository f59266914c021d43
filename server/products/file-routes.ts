import { Router, type RequestHandler } from 'express';
import { refusals } from '../shared/refusals';
import { fileRoleSchema, MAX_FILE_BYTES } from '../../core/model/product-file';
import { goodsRoutes } from '../../contract/goods';
import type { Catalog } from '../state/catalog';
import { addFile, refuseFile } from './file-writes';
import { productAnswer } from './queries';
import { productOrRefuse } from '../state/product-or-refuse';
import { dropArrived, keepFile } from '../media/file-store';
import { arrivedFile, takesFile } from '../media/upload';
import { invalidField } from '../shared/problem';
import { answer } from '../http/answer';

/** Before anything arrives: a request that will be refused leaves no file behind. */
const knowsRole: RequestHandler = (request, _response, next) => {
  if (!fileRoleSchema.safeParse(request.query.role).success) throw invalidField(['role'], refusals.fileRoles);
  next();
};

/** Files of products: downloads, samples and manuals. */
export function filesApi(catalog: Catalog): Router {
  const router = Router();
  answer(
    router,
    goodsRoutes.addFile,
    async ({ params, query, user, request }) => {
      const file = arrivedFile(request);
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
    knowsRole,
    takesFile(catalog.filesFolder, MAX_FILE_BYTES, refusals.fileTooLarge),
  );
  return router;
}
