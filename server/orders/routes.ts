import express, { Router, type Request, type Response } from 'express';
import type { z } from 'zod';
import { backNoteSchema, letterRoutes, questionSchema } from '../../contract/letters';
import { answer, parse } from '../http/answer';
import { limitRequests } from '../http/limit-requests';
import type { Catalog } from '../state/catalog';
import { answerQuestion, ask, lettersOf, putQuestionAway, waitFor } from './letters';

const ok = { ok: true as const };

/** Whoever writes by machine is slowed down. */
const slowly = () => limitRequests(10 * 60_000, 20);

/** What shoppers write to the shop, and what the desk reads and answers of it. */
export function ordersApi(catalog: Catalog): Router {
  const router = Router();
  answer(
    router,
    letterRoutes.ask,
    ({ body }) => {
      ask(catalog, body);
      return ok;
    },
    slowly(),
  );
  answer(
    router,
    letterRoutes.tellWhenBack,
    ({ body }) => {
      waitFor(catalog, body);
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
  return router;
}

/** The same as forms of a page, for those whose browser runs no script: they come back to the product. */
function forms(router: Router, catalog: Catalog): void {
  const read = express.urlencoded({ extended: false, limit: '20kb' });
  const form = <Body extends z.ZodType>(
    path: string,
    schema: Body,
    done: string,
    take: (body: z.output<Body> & { slug: string }) => void,
  ) =>
    router.post(path, slowly(), read, (request: Request, response: Response) => {
      const body = parse(schema, request.body) as z.output<Body> & { slug: string };
      take(body);
      response.redirect(303, `/p/${encodeURIComponent(body.slug)}?done=${done}`);
    });
  form('/ask', questionSchema, 'asked', (body) => ask(catalog, body));
  form('/tell-when-back', backNoteSchema, 'waiting', (body) => waitFor(catalog, body));
}
