import { Router } from 'express';
import { deskRoutes } from '../../contract/desk';
import { goodsRoutes } from '../../contract/goods';
import { ruleRoutes } from '../../contract/rules';
import { whyFoundRoutes } from '../../contract/why-found';
import { answer } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { goodsFields } from '../state/goods-fields';
import { findAnything } from './find';
import { listGoods, matchingIds, whyListed, whyFoundIn } from './queries';
import { knownFields, ruleFields, tryRule, whyInRule } from './rule-answers';

/** The goods narrowed by rules, rules tried before they are kept, and finding anything by its name. */
export function searchApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, goodsRoutes.list, ({ body }) => listGoods(catalog, body));
  answer(router, goodsRoutes.matching, ({ body }) => ({ ids: matchingIds(catalog, body) }));
  answer(router, goodsRoutes.fields, () => ({ fields: ruleFields(goodsFields(catalog)) }));
  answer(router, goodsRoutes.why, ({ params, body }) => whyListed(catalog, params.id!, body.rule));
  answer(router, ruleRoutes.fields, () => knownFields(catalog));
  answer(router, ruleRoutes.try, ({ body }) => tryRule(catalog, body));
  answer(router, ruleRoutes.why, ({ body }) => whyInRule(catalog, body));
  answer(router, deskRoutes.find, ({ query }) => ({ found: findAnything(catalog, query.q) }));
  answer(router, whyFoundRoutes.why, ({ query }) => whyFoundIn(catalog, query.q));
  return router;
}
