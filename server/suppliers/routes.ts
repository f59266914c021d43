import { Router } from 'express';
import { supplierRoutes as routes } from '../../contract/suppliers';
import { answer } from '../http/answer';
import type { Catalog } from '../state/catalog';
import { countWaiting } from '../store/proposals';
import {
  addGoods,
  addSupplier,
  changeSupplier,
  dropSupply,
  followAgreedCosts,
  removeSupplier,
  setSupply,
} from './commands';
import { answeredProposals, refuseProposal, takeProposal, waitingProposals } from './proposals';
import { supplierOrRefuse, suppliersAnswer, suppliesOf } from './queries';
import { orderFile, reorderAnswer } from './reorder';

const ok = { ok: true as const };

/** Whom goods are ordered from, and what makers propose. */
export function suppliersApi(catalog: Catalog): Router {
  const router = Router();
  catalog.onTime(followAgreedCosts(catalog));
  const currency = () => catalog.working.shop.settings.currency;
  answer(router, routes.suppliers, () => suppliersAnswer(catalog));
  answer(router, routes.add, ({ user, body }) => ({ id: addSupplier(catalog, user, body.name) }));
  answer(router, routes.get, ({ params }) => {
    const supplier = supplierOrRefuse(catalog, params.id!);
    return { supplier, currency: currency(), goods: suppliesOf(catalog, supplier) };
  });
  answer(router, routes.change, ({ params, user, body }) => ({
    supplier: changeSupplier(catalog, user, params.id!, body),
  }));
  answer(router, routes.remove, ({ params, user }) => {
    removeSupplier(catalog, user, params.id!);
    return ok;
  });
  answer(router, routes.addGoods, ({ params, user, body }) => ({ count: addGoods(catalog, user, params.id!, body) }));
  answer(router, routes.setSupply, ({ params, user, body }) => {
    setSupply(catalog, user, params.id!, params.variant!, body);
    return ok;
  });
  answer(router, routes.dropSupply, ({ params, user }) => {
    dropSupply(catalog, user, params.id!, params.variant!);
    return ok;
  });
  answer(router, routes.reorder, ({ params, query }) => reorderAnswer(catalog, params.id!, query.days));
  answer(router, routes.orderFile, ({ params, body }) => orderFile(catalog, params.id!, body));
  answer(router, routes.proposals, () => ({
    currency: currency(),
    waiting: waitingProposals(catalog),
    answered: answeredProposals(catalog),
  }));
  answer(router, routes.count, () => ({ waiting: countWaiting(catalog.db) }));
  answer(router, routes.take, ({ params, user, body }) => ({
    productId: takeProposal(catalog, user, params.id!, body),
  }));
  answer(router, routes.refuse, ({ params, user, body }) => {
    refuseProposal(catalog, user, params.id!, body.reply);
    return ok;
  });
  return router;
}
