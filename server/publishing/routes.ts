import { Router } from 'express';
import { shopMoments } from '../../core/publishing/moments';
import { publishingRoutes as routes } from '../../contract/publishing';
import { answer } from '../http/answer';
import { invalidField, notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { editEdition } from '../store/editions';
import { editionOrRefuse } from '../state/edition-shop';
import { nothingToPutLive, planEdition, takeBack } from './commands';
import { compareEditions, editionsView } from './queries';
import { review, reviewReach } from './review';

/** The review, and the editions that shoppers see: those of before, and those to come. */
export function publishingApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, routes.review, () => review(catalog));
  answer(router, routes.reach, () => reviewReach(catalog));
  answer(router, routes.hold, ({ body }) => {
    catalog.hold(body.changes, body.held);
    return { heldBack: catalog.held.size };
  });
  answer(router, routes.takeBack, ({ body, user }) => ({ title: takeBack(catalog, body, user) }));

  const edition = (number: number) => editionOrRefuse(catalog, number);
  answer(router, routes.moments, ({ query: { days } }) => {
    const { products, shop } = catalog.working;
    const [now, reach] = [catalog.now * 1_000, days * 86_400_000];
    return { moments: shopMoments(products.values(), shop.pages.values(), [now - reach, now + reach]) };
  });
  answer(router, routes.editions, () => editionsView(catalog));
  answer(router, routes.putLive, ({ body, user }) => {
    if (catalog.held.size === catalog.working.changed.size) throw invalidField(['label'], nothingToPutLive(catalog));
    return edition(catalog.putLive(body.label, user, body.note));
  });
  answer(router, routes.editEdition, ({ params, body }) => {
    const { number } = edition(Number(params.number));
    editEdition(catalog.db, number, body);
    return edition(number);
  });
  answer(router, routes.keep, ({ body }) => ({ gone: catalog.keepEditions(body.keep) }));
  answer(router, routes.goBack, ({ params, user }) => {
    const old = edition(Number(params.number));
    if (old.number === catalog.live.edition) throw invalidField([], refusals.isLiveAlready);
    return edition(catalog.goBack(old.number, `Back to edition ${old.number}`, user));
  });
  answer(router, routes.compare, ({ params, query }) =>
    compareEditions(catalog, edition(Number(params.number)).number, edition(query.to ?? catalog.live.edition).number),
  );
  answer(router, routes.bringBack, ({ params, body, user }) => ({
    title: takeBack(catalog, body, user, edition(Number(params.number)).number),
  }));
  answer(router, routes.plan, ({ body, user }) => planEdition(catalog, body, user));
  answer(router, routes.callOff, ({ params }) => {
    if (!catalog.callOff(params.id!)) throw notFound(refusals.noSuchPlan);
    return { ok: true as const };
  });
  return router;
}
