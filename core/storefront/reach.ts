import { layoutAt } from '../model/listing-layout';
import { menuNames } from '../model/menu';
import type { Page } from '../model/page';
import type { Link, Target } from '../model/target';
import { Bitset } from '../search/bitset';
import { cachedByVersion } from '../shop/cached-by-version';
import type { GroupRef } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { placeSet, type ListingPlace } from './listing-view';
import { firstSlots } from './pages/place-goods';
import { menuUrls, menuView } from './menu-view';
import { pageOfGroup } from './pages/page-of-group';
import { sectionsOfPage } from './pages/page-goods';
import { sectionLinks, sectionPlace } from './pages/sections/sections';
import { linkedBrand, linkedFamily, noticeLinks } from './page-links';
import { openTarget } from './pages/targets';
import { relatedSlots } from './relation-strips';

/** How far things of the shop are from the home page, along the links that shoppers can follow. */
export interface Reach {
  /** clicks from the home page to a page or a group, by "kind:id"; absent where no way leads */
  clicks: ReadonlyMap<string, number>;
  /** clicks until a product is in sight, by index slot; -1 where no way leads */
  products: Int16Array;
}

const placeKey = ({ kind, id }: Target): string => `${kind}:${id}`;

/** Everything that the menus lead to, as shoppers meet them now. */
export function menuLinks(shop: Shop): Link[] {
  const view = menuView(shop);
  return menuNames.flatMap((name) => menuUrls(view[name])).map((url) => ({ kind: 'address', url }));
}

/** What stands around every page leads to: the menus, and the notice. */
const frameLinks = (shop: Shop): Link[] => [...menuLinks(shop), ...noticeLinks(shop)];

/** How many pages either way are in sight from a page of a listing, beside the first and the last. */
export const PAGES_BESIDE = 2;

/** Clicks from the first page of a listing to the nth (from 1). */
const pagingClicks = (page: number, last: number): number =>
  Math.min(Math.ceil((page - 1) / PAGES_BESIDE), 1 + Math.ceil((last - page) / PAGES_BESIDE));

interface Outgoing {
  links: Link[];
  /** products in sight, by slot */
  slots: number[];
  /** listings in sight */
  places: ListingPlace[];
}

function ofSections(shop: Shop, page: Page, withoutListings = false): Outgoing {
  const out: Outgoing = { links: [], slots: [], places: [] };
  for (const { section, goods } of sectionsOfPage(shop, page, shop.now)) {
    out.links.push(...sectionLinks(shop, section, goods));
    out.slots.push(...goods.slots);
    const place = withoutListings ? undefined : sectionPlace(shop, section);
    if (place) out.places.push(place);
  }
  return out;
}

/** What stands on the page of a group: its goods, its children, the way to it, and sections that the seller put there. */
function ofGroup(shop: Shop, at: GroupRef): Outgoing {
  const page = pageOfGroup(shop, at);
  const out = page ? ofSections(shop, page, true) : { links: [], slots: [], places: [] };
  out.places.push(at);
  if (at.kind === 'category') {
    out.links.push(...linkedFamily(shop, at.id));
  }
  return out;
}

/** All products on the page of the one in a slot. */
const related = (shop: Shop, slot: number): number[] =>
  relatedSlots(shop, shop.products.get(shop.index.id(slot))!, shop.now).flatMap(({ slots }) => slots);

/**
 * Asked of one product after the other: the groups that its page leads to and that none before it led to, and whether other
 * goods may come into sight there. Products of one category lead to the same groups, and mostly to the same goods.
 */
function newsOfProducts(shop: Shop) {
  const families = new Set<string>();
  const brands = new Set<string>();
  return (slot: number): { links: Target[]; isLeading: boolean } => {
    const product = shop.products.get(shop.index.id(slot))!;
    const { categoryIds, relations } = product;
    const brandId = linkedBrand(shop, product);
    const main = categoryIds[0];
    const isFirst = main !== undefined && !families.has(main);
    const links: Target[] = [];
    if (isFirst) {
      families.add(main);
      links.push(...shop.tree.path(main).map(({ id }): Target => ({ kind: 'category', id })));
    }
    if (brandId !== null && !brands.has(brandId)) {
      brands.add(brandId);
      links.push({ kind: 'brand', id: brandId });
    }
    const { goesWith, stepUp, similar } = relations;
    const isOwn = [goesWith, stepUp, similar].some(({ how }) => how === 'picked' || how === 'rule');
    return { links, isLeading: isFirst || isOwn };
  };
}

/**
 * The places that links lead to, without how far they are: what stands where in a listing does not matter then, so that it
 * takes a fraction of the time. O(links + products).
 */
function walkPlaces(shop: Shop): Map<string, Target> {
  const met = new Map<string, Target>();
  const seen = new Bitset(shop.index.alive.size);
  const open = new Bitset(shop.index.alive.size);
  const queue: Target[] = [];
  const meet = (link: Link) => {
    const target = openTarget(shop, link);
    if (target?.kind === 'product') seen.add(shop.index.slot(target.id)!);
    else if (target && !met.has(placeKey(target))) {
      met.set(placeKey(target), target);
      queue.push(target);
    }
  };
  const news = newsOfProducts(shop);
  for (const page of shop.pages.values())
    if (page.home) for (const link of [{ kind: 'page', id: page.id } as const, ...frameLinks(shop)]) meet(link);
  for (let isMore = true; isMore;) {
    for (let target = queue.pop(); target; target = queue.pop()) {
      const out =
        target.kind === 'page' ? ofSections(shop, shop.pages.get(target.id)!) : ofGroup(shop, target as GroupRef);
      out.links.forEach(meet);
      for (const slot of out.slots) seen.add(slot);
      for (const place of out.places) seen.or(placeSet(shop, place, shop.now));
    }
    const fresh = seen.clone().and(shop.listed).andNot(open);
    open.or(fresh);
    fresh.forEach((slot) => {
      const { links, isLeading } = news(slot);
      links.forEach(meet);
      if (isLeading) for (const other of related(shop, slot)) seen.add(other);
    });
    isMore = queue.length > 0 || seen.clone().and(shop.listed).andNot(open).count() > 0;
  }
  return met;
}

const placesReached = cachedByVersion(walkPlaces);

/** A breadth-first walk over what the pages of the shop lead to. O(links + what all places hold). */
function walk(shop: Shop): Reach {
  const { listed } = shop;
  const clicks = new Map<string, number>();
  const products = new Int16Array(shop.index.alive.size).fill(-1);
  /** by clicks: places and products that come into sight then */
  const places: Target[][] = [];
  const goods: number[][] = [];
  const meet = (link: Link, after: number) => {
    const target = openTarget(shop, link);
    if (!target || target.kind === 'product') {
      const slot = target && shop.index.slot(target.id);
      if (slot !== undefined) see(slot, after - 1);
    } else if (!clicks.has(placeKey(target))) (places[after] ??= []).push(target);
  };
  const see = (slot: number, after: number) => {
    if (products[slot] === -1 && listed.has(slot)) (goods[after] ??= []).push(slot);
  };
  const seeAll = (place: ListingPlace, after: number) => {
    const { slots } = firstSlots(shop, place, Number.MAX_SAFE_INTEGER, shop.now);
    const { perPage, paging } = layoutAt(shop.settings.listings, place);
    const last = Math.ceil(slots.length / perPage);
    slots.forEach((slot, i) => {
      const page = Math.floor(i / perPage) + 1;
      see(slot, after + (paging === 'more' ? page - 1 : pagingClicks(page, last)));
    });
  };
  const news = newsOfProducts(shop);
  const frame = frameLinks(shop);
  for (const page of shop.pages.values()) if (page.home) meet({ kind: 'page', id: page.id }, 0);
  for (let after = 0; after < Math.max(places.length, goods.length); after++) {
    for (const target of places[after] ?? []) {
      if (clicks.has(placeKey(target))) continue;
      clicks.set(placeKey(target), after);
      // Menus and the notice stand on every page, and are in sight from the first one on.
      if (after === 0) for (const link of frame) meet(link, 1);
      const page = target.kind === 'page' ? shop.pages.get(target.id)! : undefined;
      const out = page ? ofSections(shop, page) : ofGroup(shop, target as GroupRef);
      for (const link of out.links) meet(link, after + 1);
      for (const slot of out.slots) see(slot, after);
      for (const place of out.places) seeAll(place, after);
    }
    for (const slot of goods[after] ?? []) {
      if (products[slot] !== -1) continue;
      products[slot] = after;
      const { links, isLeading } = news(slot);
      for (const link of links) meet(link, after + 2);
      if (isLeading) for (const other of related(shop, slot)) see(other, after + 1);
    }
  }
  return { clicks, products };
}

/** How far everything is from the home page, now. */
export const reachOf = cachedByVersion(walk);

/** Listings that a shopper can walk to. A listing without a way in is not a place where anything shows. */
export const reachableListings = cachedByVersion((shop): GroupRef[] =>
  [...placesReached(shop).values()].flatMap(({ kind, id }): GroupRef[] =>
    kind === 'page' || kind === 'product' ? [] : [{ kind, id }],
  ),
);

/** Pages that a shopper can walk to. */
export const reachablePages = cachedByVersion((shop): Page[] =>
  [...shop.pages.values()].filter(({ id }) => placesReached(shop).has(`page:${id}`)),
);

/** Pages whose sections stand on a listing that a shopper can walk to. */
export const pagesOnListings = cachedByVersion((shop): Page[] => [
  ...new Set(reachableListings(shop).flatMap((at) => pageOfGroup(shop, at) ?? [])),
]);
