import { layoutAt } from '../model/listing-layout';
import { menuNames, type MenuName } from '../model/menu';
import type { Page } from '../model/page';
import type { Link, Target } from '../model/target';
import type { VisitModel } from '../model/visit-model';
import { urlOfGroup, type GroupRef } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { pageSizeAt, type ListingPlace } from '../storefront/listing-view';
import { menuView, type MenuItemView } from '../storefront/menu-view';
import { firstSlots } from '../storefront/pages/place-goods';
import { sectionsOfPage } from '../storefront/pages/page-goods';
import { pageOfGroup } from '../storefront/pages/page-of-group';
import { sectionLayout, sectionLinks, sectionPlace } from '../storefront/pages/sections/sections';
import { openTarget } from '../storefront/pages/targets';
import { PAGES_BESIDE, reachOf } from '../storefront/reach';
import { linkedBrand, linkedFamily, noticeLinks } from '../storefront/page-links';
import { relatedSlots } from '../storefront/relation-strips';
import { VisitGraphBuilder, type VisitGraph } from './visit-graph';

/** Cards of a listing, and of the strips on the page of a product, that stand side by side on a wide screen. */
const COLUMNS = 4;
/** The row of the page of a product in which its first strip stands. */
const FIRST_STRIP = 3;
/** The foot of a page is seen as well as this row. */
const FOOT = 10;

/** What a place of the graph is to the seller: a page, a page of a listing, or pages of products. */
export type VisitedPlace =
  | { kind: 'page' | GroupRef['kind']; id: string; /** of a listing, from 1 */ page: number }
  | { kind: 'products' }
  | { kind: 'search' };

export interface ShopVisits {
  graph: VisitGraph;
  /** by place of the graph */
  places: VisitedPlace[];
}

/** A section, or the goods of a group, with what is seen of it from its place down. */
type Part =
  | {
      links: Link[];
      slots: readonly number[];
      layout: { columns: number; isRow: boolean } | undefined;
      place?: undefined;
    }
  | { place: ListingPlace };

const partsOfPage = (shop: Shop, page: Page): Part[] =>
  sectionsOfPage(shop, page, shop.now).map(({ section, goods }): Part => {
    const place = sectionPlace(shop, section);
    if (place) return { place };
    return { links: sectionLinks(shop, section, goods), slots: goods.slots, layout: sectionLayout(section) };
  });

/** The parts around the goods of a group; those take the place of a listing among them, or come last. */
function partsOfGroup(shop: Shop, at: GroupRef): Part[] {
  const page = pageOfGroup(shop, at);
  const around = page ? partsOfPage(shop, page) : [];
  const own = around.findIndex(({ place }) => place !== undefined);
  return own < 0 ? [...around, { place: at }] : around.map((part, i) => (i === own ? { place: at } : part));
}

/** The walk of visits through the shop as it is now. O(what stands on all pages and in all listings). */
export function shopVisits(shop: Shop, model: VisitModel): ShopVisits {
  const { index, listed } = shop;
  const builder = new VisitGraphBuilder(index.alive.size);
  const places: VisitedPlace[] = [];
  const add = (place: VisitedPlace): number => {
    places.push(place);
    return builder.addPlace();
  };
  const [row, aside] = [model.row / 100, model.aside / 100];
  const seenInRow = (at: number) => row ** (at - 1);

  // The first page of each page and group; a listing has its further ones right behind.
  const firstOf = new Map<string, number>();
  const partsOf = new Map<string, Part[]>();
  const orders = new Map<string, readonly number[]>();
  const goodsOf = (place: ListingPlace): readonly number[] => {
    const key = place.kind === 'all' ? 'all' : `${place.kind}:${place.id}`;
    let slots = orders.get(key);
    if (!slots) orders.set(key, (slots = firstSlots(shop, place, Number.MAX_SAFE_INTEGER, shop.now).slots));
    return slots;
  };
  const reached = [...reachOf(shop).clicks.keys()].map((key): Target => {
    const colon = key.indexOf(':');
    return { kind: key.slice(0, colon) as Target['kind'], id: key.slice(colon + 1) };
  });
  const pagesOf = new Map<string, number>();
  for (const target of reached) {
    const key = `${target.kind}:${target.id}`;
    const parts =
      target.kind === 'page' ? partsOfPage(shop, shop.pages.get(target.id)!) : partsOfGroup(shop, target as GroupRef);
    const pages = Math.max(
      1,
      ...parts.map(({ place }) => (place ? Math.ceil(goodsOf(place).length / pageSizeAt(shop, place)) : 1)),
    );
    partsOf.set(key, parts);
    pagesOf.set(key, pages);
    for (let page = 1; page <= pages; page++) {
      const at = add({ kind: target.kind as GroupRef['kind'], id: target.id, page });
      if (page === 1) firstOf.set(key, at);
    }
  }

  // Product pages with the same links out are one place.
  const pageByLinks = new Map<string, number>();
  const strips: { place: number; strips: number[][]; links: Target[] }[] = [];
  listed.forEach((slot) => {
    const product = shop.products.get(index.id(slot))!;
    const related = relatedSlots(shop, product, shop.now).map(({ slots }) => slots);
    const main = product.categoryIds[0];
    const told = linkedBrand(shop, product);
    const brand = told !== null && urlOfGroup(shop, { kind: 'brand', id: told }) !== undefined ? told : null;
    const key = `${main ?? ''}|${brand ?? ''}|${related.map((slots) => slots.join(',')).join('|')}`;
    let place = pageByLinks.get(key);
    if (place === undefined) {
      pageByLinks.set(key, (place = add({ kind: 'products' })));
      const family = main === undefined ? [] : shop.tree.path(main).map(({ id }): Target => ({ kind: 'category', id }));
      strips.push({
        place,
        strips: related,
        links: brand === null ? family : [...family, { kind: 'brand', id: brand }],
      });
    }
    builder.setPage(slot, place);
  });

  const link = (from: number, to: Link, seen: number) => {
    const target = openTarget(shop, to);
    if (!target) return;
    if (target.kind === 'product') {
      const slot = index.slot(target.id);
      if (slot !== undefined && listed.has(slot)) builder.card(from, slot, seen, false);
      return;
    }
    const place = firstOf.get(`${target.kind}:${target.id}`);
    if (place !== undefined) builder.link(from, place, seen);
  };
  /** Cards from a row on; answers how many rows they take. */
  const cards = (from: number, slots: readonly number[], at: number, columns: number, isRow = false): number => {
    slots.forEach((slot, i) => {
      const past = isRow ? Math.max(0, i - columns + 1) : 0;
      const down = isRow ? 0 : Math.floor(i / columns);
      if (listed.has(slot)) builder.card(from, slot, seenInRow(at + down) * aside ** past);
    });
    return isRow ? 1 : Math.ceil(slots.length / columns);
  };

  for (const [key, first] of firstOf) {
    const pages = pagesOf.get(key)!;
    const [kind, id] = [places[first]!.kind, (places[first] as Target).id];
    const family = kind === 'category' ? linkedFamily(shop, id) : [];
    for (let page = 1; page <= pages; page++) {
      const from = first + page - 1;
      for (const each of family) link(from, each, 1);
      let at = 1;
      for (const part of partsOf.get(key)!) {
        if (part.place) {
          const { perPage, columns } = layoutAt(shop.settings.listings, part.place);
          at += cards(from, goodsOf(part.place).slice((page - 1) * perPage, page * perPage), at, columns);
          continue;
        }
        // What stands around the goods of a group is on their first page only.
        if (page > 1 && kind !== 'page') continue;
        const { links, slots, layout } = part;
        const columns = layout?.columns ?? Infinity;
        const isOfGoods = slots.length > 0;
        links.forEach((to, i) => link(from, to, seenInRow(at + (isOfGoods ? 0 : Math.floor(i / columns)))));
        const rows = isOfGoods
          ? cards(from, slots, at, layout ? columns : slots.length, layout?.isRow)
          : Math.ceil(links.length / columns);
        at += Math.max(1, rows);
      }
      for (let other = 1; other <= pages; other++)
        if (other !== page && (other === 1 || other === pages || Math.abs(other - page) <= PAGES_BESIDE))
          builder.link(from, first + other - 1, seenInRow(at));
    }
  }
  for (const { place, strips: related, links } of strips) {
    for (const to of links) link(place, to, 1);
    let at = FIRST_STRIP;
    for (const slots of related) at += cards(place, slots, at, COLUMNS);
  }

  const onEveryPage = (to: Link, seen: number): void => {
    const target = openTarget(shop, to);
    const place = target && firstOf.get(`${target.kind}:${target.id}`);
    const slot = target?.kind === 'product' ? index.slot(target.id) : undefined;
    if (place !== undefined) builder.menuLink(place, seen);
    else if (slot !== undefined && listed.has(slot)) builder.menuLinkTo(slot, seen);
  };
  const inMenu = (items: readonly MenuItemView[], seen: number): void => {
    for (const { url, items: below } of items) {
      if (url !== null) onEveryPage({ kind: 'address', url }, seen);
      inMenu(below, seen * aside);
    }
  };
  const menu = menuView(shop);
  const seenAs: Record<MenuName, number> = { items: 1, top: 1, footer: seenInRow(FOOT) };
  for (const name of menuNames) inMenu(menu[name], seenAs[name]);
  for (const to of noticeLinks(shop)) onEveryPage(to, 1);

  const home = [...shop.pages.values()].find((page) => page.home);
  const atHome = home && firstOf.get(`page:${home.id}`);
  // The name of the shop stands on every page and leads home.
  if (atHome !== undefined) builder.menuLink(atHome, 1);
  begin(builder, shop, model, places, atHome, add);
  return { graph: builder.build(1 - model.leave / 100), places };
}

/** Where visits begin: at home, at a listing, at the page of a product, or with a search that may show any product. */
function begin(
  builder: VisitGraphBuilder,
  shop: Shop,
  model: VisitModel,
  places: readonly VisitedPlace[],
  home: number | undefined,
  add: (place: VisitedPlace) => number,
): void {
  const goods = shop.listed.toArray();
  const listings = places.flatMap((place, i) =>
    'page' in place && place.kind !== 'page' && place.page === 1 ? [i] : [],
  );
  // Where there is nothing to begin at, visits begin elsewhere.
  const shares = {
    home: home === undefined ? 0 : model.home,
    listing: listings.length > 0 ? model.listing : 0,
    product: goods.length > 0 ? model.product : 0,
    search: goods.length > 0 ? model.search : 0,
  };
  const all = shares.home + shares.listing + shares.product + shares.search;
  if (all === 0) return;
  if (home !== undefined) builder.begin(home, shares.home / all);
  for (const place of listings) builder.begin(place, shares.listing / all / listings.length);
  for (const slot of goods) builder.beginAt(slot, shares.product / all / goods.length);
  if (shares.search === 0) return;
  const found = add({ kind: 'search' });
  builder.begin(found, shares.search / all);
  // Each product is as likely as any other to be among those found.
  const { perPage, columns } = layoutAt(shop.settings.listings, { kind: 'all' });
  const shown = Math.min(perPage, goods.length);
  let seen = 0;
  for (let i = 0; i < shown; i++) seen += (model.row / 100) ** Math.floor(i / columns);
  for (const slot of goods) builder.card(found, slot, seen / goods.length);
}
