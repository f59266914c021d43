import { redirectKey, SINGLE_KEY, type DocumentKind, type ShopDocument } from '../../core/model/document';
import type { ChosenListing } from '../../core/model/chosen-listing';
import { wordingKey } from '../../core/model/wording';
import type { Db } from '../database/connection';
import { readCategories, readCollections, readNamed } from './groups';
import { readForwards } from './forwards';
import { readRedirects } from './redirects';
import { readWordings } from './wordings';
import { readMenu, readPages, readSettings } from './pages';
import { readBodies } from './json-bodies';
import { readEmbeds } from './embeds';
import { readFeeds } from './feeds';
import { readOffers } from './offers';
import { readProducts } from './products';
import { readSpecSheets } from './spec-sheets';

type Keyed = Exclude<DocumentKind, 'menu' | 'settings' | 'redirect' | 'forward' | 'wording' | 'wordingDraft'>;

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
  chosenListing: (db) => readBodies<ChosenListing>(db, 'chosen_listing'),
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
  if (kind === 'forward')
    return readForwards(db).flatMap((body) =>
      !wanted || wanted.has(body.path) ? [{ kind, key: body.path, body }] : [],
    );
  if (kind === 'wording' || kind === 'wordingDraft')
    return readWordings(db, kind === 'wording' ? 'wording' : 'wording_draft', keys).map((body) => ({
      kind,
      key: wordingKey(body),
      body,
    }));
  return readers[kind](db, keys)
    .filter(({ id }) => !wanted || wanted.has(id))
    .map((body) => ({ kind, key: body.id, body }) as unknown as ShopDocument);
}
