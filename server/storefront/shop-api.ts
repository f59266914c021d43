import { Router } from 'express';
import { MAX_STRIP } from '../../core/model/sections/strip';
import { cardOf } from '../../core/storefront/card';
import { putSubscriber } from '../store/subscribers';
import { refusals } from '../shared/refusals';
import { openApi } from '../../contract/openapi';
import { shopRoutes } from '../../contract/shop';
import { productOnShop } from '../../core/shop/open-groups';
import { listingView } from '../../core/storefront/listing-view';
import { suggest } from '../../core/storefront/suggest';
import { productView } from '../../core/storefront/product-view';
import { answer } from '../http/answer';
import { limitRequests } from '../http/limit-requests';
import type { Catalog } from '../state/catalog';
import { notFound } from '../shared/problem';
import { ListingCache } from './listing-cache';
import { listingRequest, placeOf } from './listing-request';

/** The public JSON of the live shop, and what describes the whole API. */
export function shopApi(catalog: Catalog): Router {
  const router = Router();
  const { live } = catalog;
  const listings = new ListingCache(live.shop);
  answer(router, shopRoutes.listing, ({ request }) => {
    const { now } = catalog;
    return listings.answer(request.url, () => {
      const query = request.query as Record<string, unknown>;
      return listingView(live.shop, listingRequest(query, placeOf(live.shop, query), live.shop.settings.locale), now);
    });
  });
  answer(router, shopRoutes.suggest, ({ query }) => suggest(live.shop, (query.q ?? '').slice(0, 400), catalog.now));
  answer(router, shopRoutes.product, ({ params }) => {
    const product = productOnShop(live.shop, live.shop.bySlug('product', params.slug!));
    if (!product) throw notFound(refusals.noSuchProduct);
    return productView(live.shop, product);
  });
  answer(router, shopRoutes.cards, ({ query }) => {
    const slots = (query.slugs ?? '')
      .split(',')
      .slice(0, MAX_STRIP)
      .flatMap((slug) => {
        const slot = live.shop.index.slot(live.shop.bySlug('product', slug) ?? '');
        return slot !== undefined && live.shop.listed.has(slot) ? [slot] : [];
      });
    return { items: slots.map((slot) => cardOf(live.shop, slot)) };
  });
  answer(
    router,
    shopRoutes.subscribe,
    ({ body }) => {
      const at = new Date(catalog.now * 1000).toISOString();
      putSubscriber(catalog.db, { email: body.email.toLowerCase(), at, page: body.page ?? '' });
      return { ok: true as const };
    },
    // Whoever fills the list by machine is slowed down.
    limitRequests(10 * 60_000, 20),
  );
  answer(router, shopRoutes.health, () => ({ status: 'ok' as const, edition: live.edition }));
  let described: object | undefined;
  router.get('/api/openapi.json', (_request, response) => {
    response.json((described ??= openApi()));
  });
  return router;
}
