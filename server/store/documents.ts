import { redirectKey, SINGLE_KEY, type DocumentKind, type ShopDocument } from '../../core/model/document';
import type { Db } from '../database/connection';
import { readCategories, readCollections, readNamed } from './groups';
import { readRedirects } from './redirects';
import { readMenu, readPages, readSettings } from './pages';
import { readEmbeds } from './embeds';
import { readFeeds } from './feeds';
import { readOffers } from './offers';
import { readProducts } from './products';
import { readSpecSheets } from './spec-sheets';

type Keyed = Exclude<DocumentKind, 'menu' | 'settings' | 'redirect'>;

/** How documents are read of the kinds of which a shop has many. Only of products are there too many to read all each time. */
const readers: Record<Keyed, (db: Db, keys?: readonly string[]) => { id: string }[]> = {
  product: readProducts,
  category: (db) => readCategories(db),
  collection: (db) => readCollections(db),
  brand: (db) => readNamed(db, 'brand'),
  tag: (db) => readNamed(db, 'tag'),
  specSheet: (db) => readSpecSheets(db),
  page: (db) => readPages(db),
  offer: (db) => readOffers(db),
  embed: (db) => readEmbeds(db),
  feed: (db) => readFeeds(db),
};

/** Reads documents of the working catalog: those with these keys, or all of a kind. */
export function readDocuments(db: Db, kind: DocumentKind, keys?: readonly string[]): ShopDocument[] {
  if (kind === 'menu') return [{ kind, key: SINGLE_KEY, body: readMenu(db) }];
  if (kind === 'settings') {
    const body = readSettings(db);
    return body ? [{ kind, key: SINGLE_KEY, body }] : [];
  }
  const wanted = keys && new Set(keys);
  if (kind === 'redirect')
    return readRedirects(db).flatMap((body) => {
      const key = redirectKey(body);
      return !wanted || wanted.has(key) ? [{ kind, key, body }] : [];
    });
  return readers[kind](db, keys)
    .filter(({ id }) => !wanted || wanted.has(id))
    .map((body) => ({ kind, key: body.id, body }) as unknown as ShopDocument);
}
