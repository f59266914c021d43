import { Router } from 'express';
import { groupRoutes } from '../../contract/groups';
import type { Catalog } from '../catalog/catalog';
import { groupsOverview, ruleFields, tryRule, wholeShelf } from '../catalog/groups';
import {
  addToCategory,
  addToCollection,
  changeCategory,
  changeCollection,
  createCategory,
  createCollection,
  namedOrNew,
  removeCategory,
  removeCollection,
  removeNamed,
} from '../catalog/group-writes';
import { answer } from './answer';

const ok = { ok: true as const };

export function groupsApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, groupRoutes.overview, () => groupsOverview(catalog));
  answer(router, groupRoutes.createCategory, ({ body, user }) =>
    createCategory(catalog, user, body.name, body.parentId),
  );
  answer(router, groupRoutes.updateCategory, ({ params, body, user }) =>
    changeCategory(catalog, user, params.id!, body),
  );
  answer(router, groupRoutes.deleteCategory, ({ params, query, user }) => {
    removeCategory(catalog, user, params.id!, query.products);
    return ok;
  });
  answer(router, groupRoutes.addToCategory, ({ params, body, user }) => ({
    added: addToCategory(catalog, user, params.id!, body.ids),
  }));
  answer(router, groupRoutes.createCollection, ({ body, user }) =>
    wholeShelf(catalog, createCollection(catalog, user, body)),
  );
  answer(router, groupRoutes.collection, ({ params }) => wholeShelf(catalog, params.id!));
  answer(router, groupRoutes.updateCollection, ({ params, body, user }) => {
    changeCollection(catalog, user, params.id!, body);
    return wholeShelf(catalog, params.id!);
  });
  answer(router, groupRoutes.addToCollection, ({ params, body, user }) => ({
    added: addToCollection(catalog, user, params.id!, body.ids),
  }));
  answer(router, groupRoutes.deleteCollection, ({ params, user }) => {
    removeCollection(catalog, user, params.id!);
    return ok;
  });
  answer(router, groupRoutes.fields, () => ({ fields: ruleFields(catalog.working.shop.fields) }));
  answer(router, groupRoutes.tryRule, ({ body }) => tryRule(catalog, body.rule, body.sort));
  answer(router, groupRoutes.createBrand, ({ body, user }) => namedOrNew(catalog, user, 'brand', body.name));
  answer(router, groupRoutes.createTag, ({ body, user }) => namedOrNew(catalog, user, 'tag', body.name));
  answer(router, groupRoutes.deleteBrand, ({ params, user }) => {
    removeNamed(catalog, user, 'brand', params.id!);
    return ok;
  });
  answer(router, groupRoutes.deleteTag, ({ params, user }) => {
    removeNamed(catalog, user, 'tag', params.id!);
    return ok;
  });
  return router;
}
