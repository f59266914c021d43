import { Router } from 'express';
import { refusals } from '../shared/refusals';
import { groupRoutes } from '../../contract/groups';
import type { Catalog } from '../state/catalog';
import { addToCategory, changeCategory, createCategory, mergeCategory, removeCategory } from './category-writes';
import {
  addToCollection,
  arrangeCollections,
  changeCollection,
  copyCollection,
  createCollection,
  fillCollection,
  removeCollection,
} from './collection-writes';
import { setGroupPicture } from './group-pictures';
import { collectionOverlap, groupKindOf, groupsOverview, shelf, usesOfTarget, wholeCategory } from './queries';
import { changeNamed, mergeNamed, namedKindOrRefuse, namedOrNew, removeNamed } from './named-writes';
import { takesPicture, uploadedPicture } from '../media/upload';
import { notFound } from '../shared/problem';
import { answer } from '../http/answer';

const ok = { ok: true as const };

export function groupsApi(catalog: Catalog): Router {
  const router = Router();
  answer(router, groupRoutes.uses, ({ params }) => usesOfTarget(catalog, params));
  answer(router, groupRoutes.overview, () => groupsOverview(catalog));
  categories(router, catalog);
  collections(router, catalog);
  named(router, catalog);
  answer(
    router,
    groupRoutes.addPicture,
    async ({ params, user, request }) => {
      const kind = groupKindOf(params.kind);
      if (!kind) throw notFound(refusals.noSuchGroupKind);
      setGroupPicture(catalog, user, kind, params.id!, await uploadedPicture(catalog, request));
      return ok;
    },
    takesPicture,
  );
  return router;
}

function categories(router: Router, catalog: Catalog): void {
  answer(router, groupRoutes.createCategory, ({ body, user }) => createCategory(catalog, user, body));
  answer(router, groupRoutes.category, ({ params }) => wholeCategory(catalog, params.id!));
  answer(router, groupRoutes.updateCategory, ({ params, body, user }) =>
    changeCategory(catalog, user, params.id!, body),
  );
  answer(router, groupRoutes.mergeCategory, ({ params, body, user }) => {
    mergeCategory(catalog, user, params.id!, body.into);
    return ok;
  });
  answer(router, groupRoutes.deleteCategory, ({ params, query, user }) => {
    removeCategory(catalog, user, params.id!, query);
    return ok;
  });
  answer(router, groupRoutes.addToCategory, ({ params, body, user }) => ({
    added: addToCategory(catalog, user, params.id!, body.ids),
  }));
}

function collections(router: Router, catalog: Catalog): void {
  answer(router, groupRoutes.createCollection, ({ body, user }) =>
    shelf(catalog, createCollection(catalog, user, body)),
  );
  answer(router, groupRoutes.orderCollections, ({ body, user }) => {
    arrangeCollections(catalog, user, body.ids);
    return ok;
  });
  answer(router, groupRoutes.collection, ({ params, query }) => shelf(catalog, params.id!, query.limit));
  answer(router, groupRoutes.updateCollection, ({ params, body, user }) => {
    changeCollection(catalog, user, params.id!, body);
    return shelf(catalog, params.id!);
  });
  answer(router, groupRoutes.copyCollection, ({ params, user }) =>
    shelf(catalog, copyCollection(catalog, user, params.id!)),
  );
  answer(router, groupRoutes.fillCollection, ({ params, body, user }) => {
    fillCollection(catalog, user, params.id!, body.source);
    return shelf(catalog, params.id!);
  });
  answer(router, groupRoutes.addToCollection, ({ params, body, user }) => ({
    added: addToCollection(catalog, user, params.id!, body.ids),
  }));
  answer(router, groupRoutes.deleteCollection, ({ params, user }) => {
    removeCollection(catalog, user, params.id!);
    return ok;
  });
  answer(router, groupRoutes.overlap, () => collectionOverlap(catalog));
}

function named(router: Router, catalog: Catalog): void {
  answer(router, groupRoutes.createBrand, ({ body, user }) => namedOrNew(catalog, user, 'brand', body.name));
  answer(router, groupRoutes.createTag, ({ body, user }) => namedOrNew(catalog, user, 'tag', body.name));
  answer(router, groupRoutes.updateNamed, ({ params, body, user }) =>
    changeNamed(catalog, user, namedKindOrRefuse(params.kind), params.id!, body),
  );
  answer(router, groupRoutes.mergeNamed, ({ params, body, user }) => ({
    moved: mergeNamed(catalog, user, namedKindOrRefuse(params.kind), params.id!, body.into),
  }));
  answer(router, groupRoutes.deleteNamed, ({ params, user }) => {
    removeNamed(catalog, user, namedKindOrRefuse(params.kind), params.id!);
    return ok;
  });
}
