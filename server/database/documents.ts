import { SINGLE_KEY, type DocumentKind, type ShopDocument } from '../../core/editions/document';
import type { Db } from './connection';
import { readCategories, readCollections, readNamed } from './groups';
import { readMenu, readPages, readSettings } from './pages';
import { readProducts } from './products';
import { readSpecSheets } from './spec-sheets';

/** Reads documents of the working catalog: those with these keys, or all of a kind. */
export function readDocuments(db: Db, kind: DocumentKind, keys?: readonly string[]): ShopDocument[] {
  const wanted = keys && new Set(keys);
  const named = (rows: { id: string }[]) =>
    rows
      .filter((row) => !wanted || wanted.has(row.id))
      .map((body) => ({ kind, key: body.id, body }) as unknown as ShopDocument);
  switch (kind) {
    case 'product':
      return named(readProducts(db, keys));
    case 'category':
      return named(readCategories(db));
    case 'collection':
      return named(readCollections(db));
    case 'brand':
    case 'tag':
      return named(readNamed(db, kind));
    case 'specSheet':
      return named(readSpecSheets(db));
    case 'page':
      return named(readPages(db));
    case 'menu':
      return [{ kind, key: SINGLE_KEY, body: readMenu(db) }];
    case 'settings': {
      const body = readSettings(db);
      return body ? [{ kind, key: SINGLE_KEY, body }] : [];
    }
  }
}
