import { documentChange, placeChanges } from '../../core/publishing/difference';
import { shopPrice } from '../../core/shop/shop-price';
import { faceUrl } from '../../core/storefront/card';
import { formatMoney } from '../../core/shared/money';
import { reachableListings } from '../../core/storefront/reach';
import { waysTo, whereItShows } from '../../core/storefront/where-it-shows';
import type { Held, publishingRoutes } from '../../contract/publishing';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from '../state/catalog';
import { shelfWarning } from '../../core/groups/shelf-warning';
import { pageWarnings } from '../pages/queries';
import { exposure } from '../state/exposure';
import { refOf, splitRef } from '../state/working';
import { readPlanned } from '../store/planned';
import { titleOf } from './queries';

type Review = AnswerOf<typeof publishingRoutes.review>;
type Worry = Review['worries'][number];

/** Changes told one by one; the rest are counted only. */
const TOLD = 500;
const THUMBS = 14;

/** Bundles that nobody changed, but whose price may follow from parts that were. */
function followingBundles({ working }: Catalog): string[] {
  return [...working.shop.bundles.ids].map((id) => refOf('product', id)).filter((ref) => !working.changed.has(ref));
}

/** What shoppers will notice if the working copy goes live now. */
export function review(catalog: Catalog): Review {
  const { live, working } = catalog;
  const thumbnail = (id: string) => faceUrl(working.shop.products.get(id) ?? live.shop.products.get(id));
  const thumb = (id: string) => ({
    id,
    title: (working.shop.products.get(id) ?? live.shop.products.get(id))?.title ?? '',
    thumbnail: thumbnail(id),
  });
  const refs = [...working.changed];
  const { held } = catalog;
  const planned = new Map(readPlanned(catalog.db).map(({ id, at }) => [id, at]));
  const heldView = (ref: string): Held | null => {
    const why = held.get(ref);
    if (!why || why.by === 'hand') return why ?? null;
    if (why.by === 'planned') return { ...why, at: planned.get(why.id)! };
    return { by: 'waits', for: namedRef(catalog, why.for) };
  };
  const changes = [...refs, ...followingBundles(catalog)].slice(0, TOLD).flatMap((ref) => {
    const { kind, key } = splitRef(ref);
    const change = documentChange(live.shop, working.shop, kind, key);
    const isNoticed = change && (working.changed.has(ref) || change.fields.length > 0);
    return isNoticed
      ? [
          {
            ...change,
            thumbnail: kind === 'product' ? thumbnail(key) : null,
            held: heldView(ref),
            follows: !working.changed.has(ref),
          },
        ]
      : [];
  });
  const places = placeChanges(live.shop, working.shop, catalog.now).map((place) => ({
    ...place,
    joined: place.joined.slice(0, THUMBS).map(thumb),
    left: place.left.slice(0, THUMBS).map(thumb),
    shown: place.shown.map(thumb),
    joinedCount: place.joined.length,
    leftCount: place.left.length,
  }));
  return {
    edition: live.edition,
    total: refs.length,
    heldBack: held.size,
    changes,
    places,
    worries: worries(
      catalog,
      changes.filter((change) => !change.held),
    ),
  };
}

/** A changed document with its name. */
function namedRef(catalog: Catalog, ref: string) {
  const { kind, key } = splitRef(ref);
  return { kind, key, title: titleOf(catalog, { kind, key }) };
}

const MOST_WORRIES = 12;

/** What the seller may want to look at before going live, each with what it speaks of. */
function worries(catalog: Catalog, changes: Review['changes']): Worry[] {
  const { shop } = catalog.working;
  const found: Worry[] = [];
  const tell = (words: string, of: Worry['of'] = null) => found.push({ words, of });
  for (const change of changes) {
    const product =
      change.kind === 'product' && change.what !== 'gone' ? catalog.working.products.get(change.key) : undefined;
    if (!product) continue;
    const of = { kind: change.kind, key: change.key, title: product.title };
    const below = product.variants.find(
      (each) => each.cost !== null && shopPrice(shop, product, each).price < each.cost,
    );
    if (below)
      tell(`${product.title} would sell below its cost of ${formatMoney(below.cost!, shop.settings.currency)}.`, of);
    if (change.what === 'new' && whereItShows(shop, product.id, catalog.now).length === 0)
      tell(`${product.title} is new but shows nowhere.`, of);
    if (product.pictures.length === 0) tell(`${product.title} has no picture.`, of);
    const isFree =
      product.kind !== 'bundle' && !product.priceOnRequest && product.variants.some(({ price }) => price === 0);
    if (isFree) tell(`${product.title} would be given away: a price of it is 0.00.`, of);
    if (product.kind === 'digital' && !product.files.some(({ role }) => role === 'download'))
      tell(`${product.title} is a download, but has no file for buyers.`, of);
  }
  for (const warning of pageWarnings(catalog)) tell(warning);
  for (const collection of shop.collections.values()) {
    const { id, name } = collection;
    const warning = shelfWarning(collection, shop.memberships.of(id, catalog.now).count());
    if (warning && waysTo(shop, 'collection', id).length > 0)
      tell(`“${name}”: ${warning}`, { kind: 'collection', key: id, title: name });
  }
  if (reachableListings(shop).length === 0) tell('No menu item or page leads to any goods.');
  return found.slice(0, MOST_WORRIES);
}

/**
 * How many goods differ from the live shop, and which share of visits sees at least one of them, as if each were met by
 * itself: a visit that meets one is somewhat likelier to meet its neighbours, so that the share is rather too large.
 */
export function reviewReach(catalog: Catalog): AnswerOf<typeof publishingRoutes.reach> {
  const { working } = catalog;
  const ids = [...working.changed].flatMap((ref) => {
    const { kind, key } = splitRef(ref);
    return kind === 'product' && working.shop.products.get(key)?.status === 'live' ? [key] : [];
  });
  if (ids.length === 0) return { goods: 0, visits: 0 };
  const { exposures } = exposure(catalog);
  const none = ids.reduce((left, id) => {
    const slot = working.shop.index.slot(id);
    return slot === undefined ? left : left * (1 - (exposures.products[slot] ?? 0));
  }, 1);
  return { goods: ids.length, visits: 1 - none };
}
