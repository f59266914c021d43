import { Router } from 'express';
import { refusals } from '../shared/refusals';
import { deskRoutes } from '../../contract/desk';
import { answer } from '../http/answer';
import { invalidField, notFound } from '../shared/problem';
import type { Catalog } from '../state/catalog';
import { listEditions } from '../store/editions';
import { review } from './review';

/** The review, and the editions that shoppers see. */
export function publishingApi(catalog: Catalog): Router {
  const router = Router();
  const { db } = catalog;
  answer(router, deskRoutes.review, () => review(catalog));

  const edition = (number: number) => {
    const found = listEditions(db, 10_000).find((row) => row.number === number);
    if (!found) throw notFound(refusals.noSuchEdition);
    return found;
  };
  answer(router, deskRoutes.editions, () => ({ editions: listEditions(db, 50) }));
  answer(router, deskRoutes.putLive, ({ body, user }) => {
    if (catalog.working.changed.size === 0) throw invalidField(['label'], refusals.nothingToPutLive);
    return edition(catalog.putLive(body.label, user));
  });
  answer(router, deskRoutes.goBack, ({ params, user }) => {
    const old = edition(Number(params.number));
    if (old.number === catalog.live.edition) throw invalidField([], refusals.isLiveAlready);
    return edition(catalog.goBack(old.number, `Back to edition ${old.number}`, user));
  });
  return router;
}
