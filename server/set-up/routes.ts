import { Router } from 'express';
import type { setUpRoutes as Routes } from '../../contract/set-up';
import { setUpRoutes } from '../../contract/set-up';
import type { AnswerOf } from '../../contract/route';
import { ownProduct, setUpList } from '../../core/loose-ends/set-up-list';
import { answer } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { readOpening } from '../store/opening';
import { putSkipped, readExamples, readSkipped } from '../store/set-up';
import { addExamples, removeExamples } from './examples';

/** What is left of setting the shop up, worked out from what is there. */
function listOf({ db, working, live }: Catalog): AnswerOf<typeof Routes.list> {
  const examples = readExamples(db);
  const { isClosed } = readOpening(db);
  const facts = { shop: working.shop, edition: live.edition, isClosed, examples };
  return {
    steps: setUpList(facts, readSkipped(db)),
    firstProduct: ownProduct(facts)?.id ?? null,
    examples: examples.size,
  };
}

/** The list that leads a seller from nothing to an open shop. */
export function setUpApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, setUpRoutes.list, () => listOf(catalog));
  answer(router, setUpRoutes.skip, ({ body: { step, isSkipped } }) => {
    putSkipped(catalog.db, step, isSkipped);
    return listOf(catalog);
  });
  answer(router, setUpRoutes.addExamples, async ({ user }) => {
    await addExamples(catalog, user);
    return listOf(catalog);
  });
  answer(router, setUpRoutes.removeExamples, ({ user }) => {
    removeExamples(catalog, user);
    return listOf(catalog);
  });
  return router;
}
