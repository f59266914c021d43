import express, { Router, type Request, type RequestHandler, type Response } from 'express';
import { z } from 'zod';
import { addToBasketSchema, basketRoutes } from '../../contract/basket';
import { emptyBasket, MOST_PIECES, type BasketContents } from '../../core/model/basket';
import { parseMoney } from '../../core/shared/money';
import { cardOf } from '../../core/storefront/card';
import { goesWithAll } from '../../core/storefront/goes-with-basket';
import type { SellingPage } from '../../core/storefront/selling-pages';
import { answer, parse } from '../http/answer';
import { limitRequests } from '../http/limit-requests';
import { ProblemError } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { readBasket } from '../store/baskets';
import { basketHash, basketOf, keepBasket, merged, viewOf, withCode, withEntry, withQuantity } from './baskets';
import { saidAgain } from '../../core/languages/fixed/fixed-words';
import type { Shop } from '../../core/shop/shop';
import { baseOf, liveShopOf } from '../state/spoken';

/** What pages of the stand-in need beside the catalog. */
export interface SellingParts {
  catalog: Catalog;
  isSecure: boolean;
  /** where the shop is for the world */
  originNow: () => string;
  /** draws a page of the shop */
  show: (request: Request, response: Response, page: SellingPage, status?: number) => void;
}

/** Codes can be guessed only slowly. */
const CODE_TRIES = { within: 10 * 60_000, most: 30 };
/** Of what another site sends along. */
const MOST_TAKEN = 20_000;
const MOST_LINES_TAKEN = 50;
/** Whoever changes a basket by machine is slowed down. */
const CHANGES = { within: 60_000, most: 600 };

const quantityText = z.coerce
  .number({ error: 'Type how many.' })
  .int('Type a whole number.')
  .max(MOST_PIECES, `At most ${MOST_PIECES} of one thing.`);

/** The words of a refusal; what is none is thrown on. */
function wordsOf(error: unknown, { say }: Pick<Shop, 'say'>): string {
  if (!(error instanceof ProblemError)) throw error;
  return saidAgain(error.problem.errors?.[0]?.message ?? error.problem.title, say);
}

/** A plain form that fills the slots of a bundle: part.<slot>.<variant>=<pieces> */
function partsOf(body: Record<string, unknown>) {
  return Object.entries(body).flatMap(([name, value]) => {
    const [kind, slotId, variantId] = name.split('.');
    const quantity = Number(value);
    return kind === 'part' && quantity > 0 ? [{ slotId, variantId, quantity }] : [];
  });
}

/** The basket, for scripts and for plain forms. */
export function basketApi({ catalog, isSecure, originNow, show }: SellingParts): Router {
  const router = Router();
  const codeLimit = limitRequests(CODE_TRIES.within, CODE_TRIES.most);
  const limit = limitRequests(CHANGES.within, CHANGES.most);

  /** Changes the basket of whoever asks, and answers it. */
  const change = (request: Request, response: Response, work: (contents: BasketContents) => BasketContents) => {
    const { token, contents } = basketOf(catalog, request);
    return viewOf(
      catalog,
      liveShopOf(catalog, response),
      keepBasket(catalog, { response, isSecure }, token, work(contents)),
    );
  };
  answer(router, basketRoutes.basket, ({ request, response }) =>
    viewOf(catalog, liveShopOf(catalog, response), basketOf(catalog, request).contents),
  );
  answer(router, basketRoutes.goesWith, ({ request, response, query }) => {
    const shop = liveShopOf(catalog, response);
    const ids = basketOf(catalog, request).contents.entries.map(({ productId }) => productId);
    return { items: goesWithAll(shop, ids, query.count).map((slot) => cardOf(shop, slot)) };
  });
  answer(
    router,
    basketRoutes.add,
    ({ request, response, body }) =>
      change(request, response, (contents) => withEntry(liveShopOf(catalog, response), contents, body)),
    limit,
  );
  answer(
    router,
    basketRoutes.setQuantity,
    ({ request, response, body }) =>
      change(request, response, (contents) => withQuantity(contents, body.key, body.quantity)),
    limit,
  );
  answer(
    router,
    basketRoutes.addCode,
    ({ request, response, body }) => change(request, response, (contents) => withCode(catalog, contents, body.code)),
    codeLimit,
  );
  const without = (contents: BasketContents, code: string) => ({
    ...contents,
    codes: contents.codes.filter((each) => each !== code),
  });
  answer(
    router,
    basketRoutes.dropCode,
    ({ request, response, body }) => change(request, response, (contents) => without(contents, body.code)),
    limit,
  );
  answer(
    router,
    basketRoutes.changeBasket,
    ({ request, response, body }) => change(request, response, (contents) => ({ ...contents, ...body })),
    limit,
  );

  const page = (request: Request, response: Response, problem = '') => {
    const { token, contents } = basketOf(catalog, request);
    const elsewhere =
      token && contents.entries.length > 0 ? `${originNow()}${baseOf(response)}/basket/open/${token}` : null;
    show(
      request,
      response,
      { kind: 'basket', basket: viewOf(catalog, liveShopOf(catalog, response), contents), problem, elsewhere },
      problem ? 422 : 200,
    );
  };
  router.get('/basket', (request, response) => page(request, response));

  const read = express.urlencoded({ extended: false, limit: '20kb', parameterLimit: 400 });
  const form = (
    path: string,
    limited: RequestHandler,
    work: (contents: BasketContents, body: Record<string, string>) => BasketContents,
    to = '/basket',
  ) =>
    router.post(path, limited, read, (request, response) => {
      try {
        change(request, response, (contents) => work(contents, (request.body ?? {}) as Record<string, string>));
      } catch (error) {
        return page(request, response, wordsOf(error, liveShopOf(catalog, response)));
      }
      response.redirect(303, baseOf(response) + to);
    });
  const toCheckout = () => catalog.live.shop.settings.selling.button === 'checkout';
  router.post('/basket/add', limit, read, (request, response) => {
    try {
      change(request, response, (contents) => {
        const body = request.body as Record<string, string>;
        const value = body.value?.trim() ? parseMoney(body.value, liveShopOf(catalog, response).settings.locale) : null;
        return withEntry(
          liveShopOf(catalog, response),
          contents,
          parse(addToBasketSchema, { ...body, quantity: Number(body.quantity || 1), parts: partsOf(body), value }),
        );
      });
    } catch (error) {
      return page(request, response, wordsOf(error, liveShopOf(catalog, response)));
    }
    response.redirect(303, baseOf(response) + (toCheckout() ? '/checkout' : '/basket'));
  });
  form('/basket/change', limit, (contents, { key = '', quantity = '' }) =>
    withQuantity(contents, key, Math.max(0, parse(quantityText, quantity))),
  );
  form('/basket/remove', limit, (contents, { key = '' }) => withQuantity(contents, key, 0));
  form('/basket/back', limit, (contents, { key = '' }) =>
    withQuantity(contents, key, contents.removed?.key === key ? contents.removed.quantity : 0),
  );
  form('/basket/code', codeLimit, (contents, { code = '' }) => withCode(catalog, contents, code));
  form('/basket/drop-code', limit, (contents, { code = '' }) => without(contents, code));
  form('/basket/settings', limit, (contents, body) => ({
    ...contents,
    ...parse(basketRoutes.changeBasket.body, body),
  }));

  /** What was put together on a page of another site joins the basket of this browser; once is enough, however often it is followed. */
  router.get('/basket/take', limit, (request, response) => {
    const wanted = String((request.query as { lines?: unknown }).lines ?? '').slice(0, MOST_TAKEN);
    const lines = wanted.split(',').map((line) => line.split(':'));
    change(request, response, (contents) => {
      let taken = emptyBasket;
      for (const [slug = '', variant = '', quantity] of lines.slice(0, MOST_LINES_TAKEN))
        try {
          const entry = parse(addToBasketSchema, { slug, variant, quantity: Number(quantity) });
          // Goods of one page may be told in several languages, and are called otherwise in each.
          const spoken = liveShopOf(catalog, response);
          const shop = spoken.bySlug('product', slug) === undefined ? catalog.live.shop : spoken;
          taken = withEntry(shop, taken, entry);
        } catch (error) {
          // What cannot be had any more is left out: the basket is looked at next.
          wordsOf(error, catalog.live.shop);
        }
      return merged(contents, taken);
    });
    response.redirect(303, `${baseOf(response)}/basket`);
  });

  /** A basket that was begun on another device joins the one of this browser. */
  router.get('/basket/open/:token', limit, (request, response) => {
    const other = readBasket(catalog.db, basketHash(String(request.params.token)));
    change(request, response, (contents) => merged(contents, other));
    response.redirect(303, `${baseOf(response)}/basket`);
  });
  return router;
}
