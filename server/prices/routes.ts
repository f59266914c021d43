import { Router } from 'express';
import { offerRoutes } from '../../contract/offers';
import { answer } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { readCodes } from '../store/offers';
import { changedOffer, changeOffer, makeCodes, makeOffer, offerOrRefuse, removeCodes, removeOffer } from './commands';
import { offerPreview, offersAnswer, priceHistoryAnswer } from './queries';
import { whyPrice } from './why-price';

const ok = { ok: true as const };

/** Offers, their codes, and how prices come about. */
export function pricesApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, offerRoutes.offers, () => offersAnswer(catalog));
  answer(router, offerRoutes.addOffer, ({ user, body }) => ({ id: makeOffer(catalog, user, body) }));
  answer(router, offerRoutes.changeOffer, ({ params, user, body }) => ({
    offer: changeOffer(catalog, user, params.id!, body),
  }));
  answer(router, offerRoutes.deleteOffer, ({ params, user }) => {
    removeOffer(catalog, user, params.id!);
    return ok;
  });
  answer(router, offerRoutes.previewOffer, ({ params, body }) =>
    offerPreview(catalog, changedOffer(offerOrRefuse(catalog, params.id!), body)),
  );
  answer(router, offerRoutes.codes, ({ params }) => ({
    codes: readCodes(catalog.db, offerOrRefuse(catalog, params.id!).id).map(({ code, uses, used, note, created }) => ({
      code,
      uses,
      used,
      note,
      created,
    })),
  }));
  answer(router, offerRoutes.addCodes, ({ params, user, body }) => ({
    codes: makeCodes(catalog, user, params.id!, body),
  }));
  answer(router, offerRoutes.dropCodes, ({ params, user, body }) => {
    removeCodes(catalog, user, params.id!, body.codes);
    return ok;
  });
  answer(router, offerRoutes.priceHistory, ({ query }) => priceHistoryAnswer(catalog, query.variant));
  answer(router, offerRoutes.whyPrice, ({ body }) => whyPrice(catalog, body));
  return router;
}
