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
import { liveShopOf } from '../state/spoken';

/** The public JSON of the live shop, and what describes the whole API. */
export function shopApi(catalog: Catalog): Router {
  const router = Router();
  const { live } = catalog;
  const listings = new ListingCache(live.shop);
  answer(router, shopRoutes.listing, ({ request, response }) => {
    const { now } = catalog;
    const shop = liveShopOf(catalog, response);
    return listings.answer(request.originalUrl, () => {
      const query = request.query as Record<string, unknown>;
      return listingView(shop, listingRequest(query, placeOf(shop, query), shop.settings.locale), now);
    });
  });
  answer(router, shopRoutes.suggest, ({ query, response }) =>
    suggest(liveShopOf(catalog, response), (query.q ?? '').slice(0, 400), catalog.now),
  );
  answer(router, shopRoutes.product, ({ params, response }) => {
    const shop = liveShopOf(catalog, response);
    const product = productOnShop(shop, shop.bySlug('product', params.slug!));
    if (!product) throw notFound(refusals.noSuchProduct);
    return productView(shop, product);
  });
  answer(router, shopRoutes.cards, ({ query, response }) => {
    const shop = liveShopOf(catalog, response);
    const slots = (query.slugs ?? '')
      .split(',')
      .slice(0, MAX_STRIP)
      .flatMap((slug) => {
        const slot = shop.index.slot(shop.bySlug('product', slug) ?? '');
        return slot !== undefined && shop.listed.has(slot) ? [slot] : [];
      });
    return { items: slots.map((slot) => cardOf(shop, slot)) };
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
