import { documentChange, placeChanges } from '../../core/publishing/difference';
import { shopPrice } from '../../core/shop/shop-price';
import { faceUrl } from '../../core/storefront/card';
import { formatMoney } from '../../core/shared/money';
import { reachableListings } from '../../core/storefront/reach';
import { waysTo, whereItShows } from '../../core/storefront/where-it-shows';
import type { deskRoutes } from '../../contract/desk';
import type { AnswerOf } from '../../contract/route';
import type { Catalog } from '../state/catalog';
import { sizeWarning } from '../groups/queries';
import { pageWarnings } from '../pages/queries';
import { refOf, splitRef } from '../state/working';

type Review = AnswerOf<typeof deskRoutes.review>;

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
  const changes = [...refs, ...followingBundles(catalog)].slice(0, TOLD).flatMap((ref) => {
    const { kind, key } = splitRef(ref);
    const change = documentChange(live.shop, working.shop, kind, key);
    const isNoticed = change && (working.changed.has(ref) || change.fields.length > 0);
    return isNoticed ? [{ ...change, thumbnail: kind === 'product' ? thumbnail(key) : null }] : [];
  });
  const places = placeChanges(live.shop, working.shop, catalog.now).map((place) => ({
    ...place,
    joined: place.joined.slice(0, THUMBS).map(thumb),
    left: place.left.slice(0, THUMBS).map(thumb),
    shown: place.shown.map(thumb),
    joinedCount: place.joined.length,
    leftCount: place.left.length,
  }));
  return { edition: live.edition, total: refs.length, changes, places, worries: worries(catalog, changes) };
}

/** What the seller may want to look at before going live. */
function worries(catalog: Catalog, changes: Review['changes']): string[] {
  const { shop } = catalog.working;
  const found: string[] = [];
  for (const change of changes) {
    const product =
      change.kind === 'product' && change.what !== 'gone' ? catalog.working.products.get(change.key) : undefined;
    if (!product) continue;
    const below = product.variants.find(
      (each) => each.cost !== null && shopPrice(shop, product, each).price < each.cost,
    );
    if (below)
      found.push(`${product.title} would sell below its cost of ${formatMoney(below.cost!, shop.settings.currency)}.`);
    if (change.what === 'new' && whereItShows(shop, product.id, catalog.now).length === 0)
      found.push(`${product.title} is new but shows nowhere.`);
    if (product.pictures.length === 0) found.push(`${product.title} has no picture.`);
    const isFree =
      product.kind !== 'bundle' && !product.priceOnRequest && product.variants.some(({ price }) => price === 0);
    if (isFree) found.push(`${product.title} would be given away: a price of it is 0.00.`);
    if (product.kind === 'digital' && !product.files.some(({ role }) => role === 'download'))
      found.push(`${product.title} is a download, but has no file for buyers.`);
  }
  found.push(...pageWarnings(catalog));
  for (const collection of shop.collections.values()) {
    const { id, name } = collection;
    const warning = sizeWarning(collection, shop.memberships.of(id, catalog.now).count());
    if (warning && waysTo(shop, 'collection', id).length > 0) found.push(`“${name}”: ${warning}`);
  }
  if (reachableListings(shop).length === 0) found.push('No menu item or page leads to any goods.');
  return found.slice(0, 12);
}
