import { Router, type Request, type Response } from 'express';
import { refusals } from '../shared/refusals';
import type { ProductFile } from '../../core/model/product-file';
import { statusAt } from '../../core/products/status';
import type { ProductDocument } from '../../core/model/document';
import { sessionOf } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { notFound } from '../shared/problem';
import { filePath } from './file-store';

function send(response: Response, folder: string, { name, content }: ProductFile): void {
  response.set('Cache-Control', 'no-cache').set('Content-Security-Policy', 'sandbox').attachment(name);
  // Whatever was uploaded is something to keep, never something to run.
  response.type('application/octet-stream');
  response.sendFile(filePath(folder, content), (error) => {
    if (error && !response.headersSent) response.status(404).end();
  });
}

/**
 * Samples and manuals of products that are on the shop, for all; every file of the working copy for those signed in.
 * What buyers pay for has no address in the shop.
 */
export function serveFiles(catalog: Catalog): Router {
  const router = Router();
  const fileOf = (product: Pick<ProductDocument, 'files'> | undefined, id: string) =>
    product?.files.find((file) => file.id === id);
  const serve = (base: '' | '/preview', day = '') =>
    router.get(
      `${base}${day}/files/:product/:file`,
      (request: Request<{ product: string; file: string }>, response) => {
        const { shop } = (base === '' ? catalog.live : catalog.working) as { shop: typeof catalog.live.shop };
        const product = shop.products.get(request.params.product);
        const file = fileOf(product, request.params.file);
        const isSeller = base !== '' && sessionOf(response) !== undefined;
        const isOpen = product && statusAt(product, shop.now) === 'live' && file?.role !== 'download' && base === '';
        if (!file || !(isSeller || isOpen)) throw notFound(refusals.noSuchFile);
        send(response, catalog.filesFolder, file);
      },
    );
  serve('');
  serve('/preview');
  serve('/preview', '/on/:moment');
  serve('/preview', '/edition/:edition');
  return router;
}
