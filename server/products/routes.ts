import { Router } from 'express';
import multer from 'multer';
import { goodsRoutes } from '../../contract/goods';
import { stockRoutes } from '../../contract/stock';
import type { Catalog } from '../state/catalog';
import { featuredRows, orderFeatured } from './featured';
import { memberships, productAnswer } from './queries';
import { addPictures, changePictures, replacePicture } from './picture-writes';
import { copyParts, copyProduct, relateBack } from './product-copies';
import { productOrRefuse } from '../state/product-or-refuse';
import { changeProduct, createProduct, removeProduct } from './product-writes';
import { changeOptions, changeVariants } from './variant-writes';
import { moveStock, stockLedger } from './stock';
import { MAX_PICTURE_BYTES } from '../media/picture-store';
import { takePictures } from '../media/take-pictures';
import { invalid } from '../shared/problem';
import { answer } from '../http/answer';

/** One byte more than allowed is let in, so that the refusal can name the file. */
const upload = multer({ storage: multer.memoryStorage(), limits: { fileSize: MAX_PICTURE_BYTES * 2, files: 30 } });

export function goodsApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, goodsRoutes.featured, () => ({ rows: featuredRows(catalog) }));
  answer(router, goodsRoutes.orderFeatured, ({ body, user }) => {
    orderFeatured(catalog, user, body.ids);
    return { ok: true as const };
  });
  answer(router, goodsRoutes.create, ({ body, user }) => productAnswer(catalog, createProduct(catalog, user, body)));
  answer(router, goodsRoutes.get, ({ params }) => productAnswer(catalog, params.id!));
  answer(router, goodsRoutes.memberships, ({ params }) => memberships(catalog, params.id!));
  answer(router, goodsRoutes.update, ({ params, body, user }) => {
    changeProduct(catalog, user, params.id!, body);
    return productAnswer(catalog, params.id!);
  });
  answer(router, goodsRoutes.setOptions, ({ params, body, user }) => {
    changeOptions(catalog, user, params.id!, body);
    return productAnswer(catalog, params.id!);
  });
  answer(router, goodsRoutes.setVariants, ({ params, body, user }) => {
    changeVariants(catalog, user, params.id!, body.seen, body.changes);
    return productAnswer(catalog, params.id!);
  });
  answer(router, goodsRoutes.setPictures, ({ params, body, user }) => {
    changePictures(catalog, user, params.id!, body);
    return productAnswer(catalog, params.id!);
  });
  answer(router, goodsRoutes.copy, ({ params, user }) =>
    productAnswer(catalog, copyProduct(catalog, user, params.id!)),
  );
  answer(router, goodsRoutes.relateBack, ({ params, body, user }) => {
    relateBack(catalog, user, params.id!, body.kind, body.to);
    return { ok: true as const };
  });
  answer(router, goodsRoutes.copyParts, ({ params, body, user }) => copyParts(catalog, user, params.id!, body));
  answer(router, stockRoutes.ledger, ({ params }) => stockLedger(catalog, params.id!));
  answer(router, stockRoutes.move, ({ params, body, user }) => {
    moveStock(catalog, user, params.id!, body);
    return productAnswer(catalog, params.id!);
  });
  answer(router, goodsRoutes.remove, ({ params, user }) => {
    removeProduct(catalog, user, params.id!);
    return { ok: true as const };
  });
  answer(
    router,
    goodsRoutes.addPictures,
    async ({ params, query, user, request }) => {
      const here = new Map(productOrRefuse(catalog, params.id!).pictures.map(({ media }, i) => [media, i + 1]));
      const files = (request.files as Express.Multer.File[] | undefined) ?? [];
      const { taken, refused } = await takePictures(catalog, files, ({ media }) => {
        const known = here.get(media);
        if (known !== undefined) return `This is the same picture as number ${known}.`;
        here.set(media, here.size + 1);
        return undefined;
      });
      if (taken.length > 0 && query.replace) replacePicture(catalog, user, params.id!, query.replace, taken[0]!);
      else if (taken.length > 0) addPictures(catalog, user, params.id!, taken);
      else if (refused.length > 0)
        throw invalid(
          refused.map(({ file, message }) => ({ path: ['files', file], message })),
          refused[0]!.message,
        );
      return { ...productAnswer(catalog, params.id!), refused };
    },
    upload.array('files', 30),
  );
  return router;
}
