import { shopperSorts } from '../model/listing-layout';
import type { PlaceOfProduct } from './views';
import { cachedByVersion } from '../shop/cached-by-version';
import { firstSort, pageSizeAt, placeSet } from './listing-view';
import { groupsOf, type GroupKind, type GroupRef } from '../shop/open-groups';
import type { Page } from '../model/page';
import { FEATURED_FIRST } from '../model/order';
import { orderOf } from '../shop/arrangement';
import type { Link, Target } from '../model/target';
import { firstSlots } from './pages/place-goods';
import { sectionsOfPage, type FilledSection } from './pages/page-goods';
import { sectionLinks, sectionName, sectionOrder } from './pages/sections/sections';
import type { WhyHere } from './pages/sections/section-part';
import { openTarget } from './pages/targets';
import { linkedChildren, noticeLinks, tellsBrands } from './page-links';
import { menuLinks, pagesOnListings, reachableListings, reachablePages, reachOf } from './reach';
import type { Shop } from '../shop/shop';

/** The sections of pages that show products, each with their slots in order. */
function goodsOnPages(shop: Shop, now: number): (FilledSection & { page: Page })[] {
  return [...reachablePages(shop), ...pagesOnListings(shop)].flatMap((page) =>
    sectionsOfPage(shop, page, now).map((filled) => ({ page, ...filled })),
  );
}

/** Everything that shoppers meet and that leads to a page or a listing, with the words for where it stands. */
function links(shop: Shop): { to: Target; from: string }[] {
  const from = (words: string, all: readonly Link[]) =>
    all.flatMap((link) => {
      const to = openTarget(shop, link);
      return to ? [{ to, from: words }] : [];
    });
  const ofPage = (page: Page, words: string) =>
    sectionsOfPage(shop, page, shop.now).flatMap(({ section, goods }) =>
      from(words, sectionLinks(shop, section, goods)),
    );
  return [
    ...from('Menu', menuLinks(shop)),
    ...from('Notice', noticeLinks(shop)),
    ...reachablePages(shop).flatMap((page) => ofPage(page, page.title)),
    ...pagesOnListings(shop).flatMap((page) => ofPage(page, page.title)),
  ];
}

/** In how many places each product shows, by index slot. Cost: the sum of what all places hold. */
export function placeCounts(shop: Shop, now: number): Uint16Array {
  const counts = new Uint16Array(shop.index.alive.size);
  const add = (slot: number) => counts[slot]!++;
  for (const at of reachableListings(shop)) placeSet(shop, at, now).forEach(add);
  for (const { goods } of goodsOnPages(shop, now)) goods.slots.forEach(add);
  return counts;
}

const whyInSection: Record<WhyHere, { why: (order: string) => string; moves: string }> = {
  pinned: { why: () => 'held here', moves: 'Move it among the goods that are held here, or let it go.' },
  picked: { why: () => 'picked by hand', moves: 'Move it along the list of this strip.' },
  ordered: { why: (order) => order, moves: 'Hold it here to bring it to the front, or change the order.' },
  turn: { why: () => 'its turn today', moves: 'Another day shows others; hold it here to keep it.' },
};

/** Why a product stands where it does in a listing, and what would move it. */
function whyInListing(shop: Shop, at: GroupRef, productId: string): Pick<PlaceOfProduct, 'why' | 'moves'> {
  const sort = firstSort(shop, at);
  if (sort !== 'featured')
    return {
      why: shopperSorts[sort].toLowerCase(),
      moves: 'This listing begins with another order than its own: change that under Shopfront, Look, Listings.',
    };
  const collection = at.kind === 'collection' ? shop.collections.get(at.id)! : undefined;
  if (collection?.source === 'picked') return { why: 'picked by hand', moves: 'Drag it along the shelf.' };
  const group = collection ?? (at.kind === 'category' ? shop.categories.get(at.id)! : undefined);
  if (!group) return { why: orderOf(shop, FEATURED_FIRST), moves: 'Feature it to bring it to the front.' };
  if (group.pins.includes(productId))
    return { why: 'pinned', moves: 'Move it among the goods that are pinned, or let it go.' };
  return { why: orderOf(shop, group.order), moves: 'Pin it to bring it to the front, or change the order.' };
}

/** Every place in which one product shows, with its position there, why, and what would move it. */
export function whereItShows(shop: Shop, productId: string, now: number): PlaceOfProduct[] {
  const slot = shop.index.slot(productId);
  if (slot === undefined) return [];
  const { clicks } = reachOf(shop);
  const places: PlaceOfProduct[] = [];
  for (const { page, section, goods } of goodsOnPages(shop, now)) {
    const at = goods.slots.indexOf(slot);
    if (at < 0) continue;
    const { why, moves } = whyInSection[goods.why[at]!];
    // A page of its own is as far as it is; one around groups is where the nearest of them is.
    const near = [`page:${page.id}`, ...page.standsOn.map(({ kind, id }) => `${kind}:${id}`)];
    places.push({
      kind: 'section',
      id: page.id,
      label: `${page.title} › ${sectionName(shop, section)}`,
      position: at + 1,
      of: goods.slots.length,
      page: 1,
      clicks: Math.min(...near.map((key) => clicks.get(key) ?? Infinity)),
      why: why(sectionOrder(shop, section)),
      moves,
    });
  }
  for (const at of reachableListings(shop)) {
    if (!placeSet(shop, at, now).has(slot)) continue;
    const { slots, total } = firstSlots(shop, at, Number.MAX_SAFE_INTEGER, now);
    const position = slots.indexOf(slot) + 1;
    places.push({
      kind: at.kind,
      id: at.id,
      label: groupsOf(shop, at.kind).get(at.id)!.name,
      position,
      of: total,
      page: Math.ceil(position / pageSizeAt(shop, at)),
      clicks: clicks.get(`${at.kind}:${at.id}`) ?? 0,
      ...whyInListing(shop, at, productId),
    });
  }
  return places;
}

const waysByGroup = cachedByVersion((shop) => {
  const ways = new Map<string, Set<string>>();
  const add = (key: string, way: string) => {
    const known = ways.get(key);
    if (known) known.add(way);
    else ways.set(key, new Set([way]));
  };
  for (const { to, from } of links(shop)) add(`${to.kind}:${to.id}`, from);
  // Parents come before their children, so a way down from the top is found at one go.
  for (const { category } of shop.tree.flat())
    if (
      category.parentId &&
      ways.has(`category:${category.parentId}`) &&
      linkedChildren(shop, category.parentId).length > 0
    )
      add(`category:${category.id}`, shop.categories.get(category.parentId)!.name);
  if (tellsBrands(shop.settings.productPage))
    for (const { id, listed } of shop.brands.values()) if (listed) add(`brand:${id}`, 'Its products');
  return ways;
});

/** Where a group or a page can be met: menu items, pages that link to it, its parent; empty means nobody finds it. */
export function waysTo(shop: Shop, kind: GroupKind | 'page', id: string): string[] {
  return [...(waysByGroup(shop).get(`${kind}:${id}`) ?? [])];
}
