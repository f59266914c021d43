import { Router } from 'express';
import { exposureRoutes } from '../../contract/exposure';
import { shopfrontRoutes } from '../../contract/shopfront';
import type { Catalog } from '../state/catalog';
import { changeVisitModel, exposureOfProduct, exposureOverview } from './exposure';
import { domainOf } from './domain';
import { floor } from './floor';
import { filtersAt, notMet, pageDraft, pagesOverview } from './queries';
import { changeMenu, changePage, changeSettings, copyPage, createPage, removePage } from './commands';
import { addLegalPages, legalOverview } from './legal';
import { openingOf, setOpening } from './opening';
import { readSubscribers } from '../store/subscribers';
import { MAX_FILM_BYTES } from '../../core/model/film';
import { tellingGoods } from '../../core/storefront/telling-goods';
import { dropArrived } from '../media/file-store';
import { filmsFolder, keepFilm } from '../media/film-store';
import { arrivedFile, takesFile, takesPicture, uploadedPicture } from '../media/upload';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { answer } from '../http/answer';

export function shopfrontApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, shopfrontRoutes.pages, () => pagesOverview(catalog));
  answer(router, shopfrontRoutes.notMet, () => notMet(catalog));
  answer(router, shopfrontRoutes.floor, ({ body }) => floor(catalog, body));
  answer(router, exposureRoutes.overview, () => exposureOverview(catalog));
  answer(router, exposureRoutes.ofProduct, ({ params }) => exposureOfProduct(catalog, params.id!));
  answer(router, exposureRoutes.setModel, ({ body, user }) => changeVisitModel(catalog, user, body));
  answer(router, shopfrontRoutes.createPage, ({ body, user }) => createPage(catalog, user, body.title, body.pattern));
  answer(router, shopfrontRoutes.updatePage, ({ params, body, user }) => changePage(catalog, user, params.id!, body));
  answer(router, shopfrontRoutes.drawPage, ({ params, body }) => pageDraft(catalog, params.id!, body));
  answer(
    router,
    shopfrontRoutes.addPicture,
    async ({ request }) => {
      const { media, width, height } = await uploadedPicture(catalog, request);
      return { media, width, height };
    },
    takesPicture,
  );
  answer(
    router,
    shopfrontRoutes.addFilm,
    async ({ request }) => {
      const { path } = arrivedFile(request);
      try {
        const name = await keepFilm(catalog.folder, path);
        if (!name) throw invalidField(['files'], refusals.noFilm);
        return { name };
      } finally {
        await dropArrived(path);
      }
    },
    takesFile(filmsFolder(catalog.folder), MAX_FILM_BYTES, refusals.filmTooLarge),
  );
  answer(router, shopfrontRoutes.copyPage, ({ params, user }) => copyPage(catalog, user, params.id!));
  answer(router, shopfrontRoutes.deletePage, ({ params, user }) => {
    removePage(catalog, user, params.id!);
    return { ok: true as const };
  });
  answer(router, shopfrontRoutes.menu, () => catalog.working.shop.menu);
  answer(router, shopfrontRoutes.setMenu, ({ body, user }) => changeMenu(catalog, user, body));
  answer(router, shopfrontRoutes.opening, () => openingOf(catalog));
  answer(router, shopfrontRoutes.setOpening, async ({ body }) => {
    await setOpening(catalog, body);
    return openingOf(catalog);
  });
  answer(router, shopfrontRoutes.subscribers, () => ({ items: readSubscribers(catalog.db) }));
  answer(router, shopfrontRoutes.filters, ({ query }) => filtersAt(catalog, query));
  answer(router, shopfrontRoutes.legal, () => legalOverview(catalog));
  answer(router, shopfrontRoutes.addLegal, ({ body, user }) => addLegalPages(catalog, user, body));
  answer(router, shopfrontRoutes.tellingGoods, () => ({ goods: tellingGoods(catalog.working.shop) }));
  answer(router, shopfrontRoutes.domain, ({ query }) => domainOf(catalog, query.name));
  answer(router, shopfrontRoutes.settings, () => catalog.working.shop.settings);
  answer(router, shopfrontRoutes.setSettings, ({ body, user }) => changeSettings(catalog, user, body));
  return router;
}
