import express, { Router, type Request, type Response } from 'express';
import type { z } from 'zod';
import { backNoteSchema, letterRoutes, questionSchema } from '../../contract/letters';
import { answer, parse } from '../http/answer';
import { limitRequests } from '../http/limit-requests';
import { orderRoutes } from '../../contract/orders';
import type { Catalog } from '../state/catalog';
import { basketApi, type SellingParts } from './basket-routes';
import { checkoutApi } from './checkout-routes';
import { orderAnswer, ordersAnswer } from './order-queries';
import { addNote, cancel, markPaid, markSent, orderOrRefuse, refund } from './order-steps';
import { answerQuestion, ask, lettersOf, putQuestionAway, waitFor } from './letters';
import type { Shop } from '../../core/shop/shop';
import { baseOf, liveShopOf } from '../state/spoken';

const ok = { ok: true as const };

/** Whoever writes by machine is slowed down. */
const slowly = () => limitRequests(10 * 60_000, 20);

/** What shoppers write to the shop, and what the desk reads and answers of it. */
export function ordersApi(parts: SellingParts): Router {
  const { catalog, originNow } = parts;
  const router = Router();
  answer(
    router,
    letterRoutes.ask,
    ({ body, response }) => {
      ask(catalog, liveShopOf(catalog, response), body);
      return ok;
    },
    slowly(),
  );
  answer(
    router,
    letterRoutes.tellWhenBack,
    ({ body, response }) => {
      waitFor(catalog, liveShopOf(catalog, response), body);
      return ok;
    },
    slowly(),
  );
  answer(router, letterRoutes.letters, () => lettersOf(catalog));
  answer(router, letterRoutes.answerQuestion, ({ params, body }) => {
    answerQuestion(catalog, params.id!, body.text);
    return ok;
  });
  answer(router, letterRoutes.putAway, ({ params }) => {
    putQuestionAway(catalog, params.id!);
    return ok;
  });
  forms(router, catalog);
  answer(router, orderRoutes.orders, ({ query }) => ordersAnswer(catalog, query));
  answer(router, orderRoutes.order, ({ params }) => orderAnswer(catalog, orderOrRefuse(catalog, params.id!)));
  const by = (user: string) => ({ catalog, userId: user, origin: originNow() });
  answer(router, orderRoutes.paid, ({ params, user }) =>
    orderAnswer(catalog, markPaid(by(user), params.id!, orderOrRefuse(catalog, params.id!).body.payment.name)),
  );
  answer(router, orderRoutes.sent, ({ params, user, body }) =>
    orderAnswer(catalog, markSent(by(user), params.id!, body)),
  );
  answer(router, orderRoutes.refund, ({ params, user, body }) =>
    orderAnswer(catalog, refund(by(user), params.id!, body)),
  );
  answer(router, orderRoutes.cancel, ({ params, user, body }) =>
    orderAnswer(catalog, cancel(by(user), params.id!, body.reason)),
  );
  answer(router, orderRoutes.note, ({ params, user, body }) =>
    orderAnswer(catalog, addNote(by(user), params.id!, body.text)),
  );
  router.use(basketApi(parts), checkoutApi(parts));
  return router;
}

/** The same as forms of a page, for those whose browser runs no script: they come back to the product. */
function forms(router: Router, catalog: Catalog): void {
  const read = express.urlencoded({ extended: false, limit: '20kb' });
  const form = <Body extends z.ZodType>(
    path: string,
    schema: Body,
    done: string,
    take: (shop: Shop, body: z.output<Body> & { slug: string }) => void,
  ) =>
    router.post(path, slowly(), read, (request: Request, response: Response) => {
      const body = parse(schema, request.body) as z.output<Body> & { slug: string };
      take(liveShopOf(catalog, response), body);
      response.redirect(303, `${baseOf(response)}/p/${encodeURIComponent(body.slug)}?done=${done}`);
    });
  form('/ask', questionSchema, 'asked', (shop, body) => ask(catalog, shop, body));
  form('/tell-when-back', backNoteSchema, 'waiting', (shop, body) => waitFor(catalog, shop, body));
}
