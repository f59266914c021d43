import type { PlaceOfProduct } from './views';
import { cachedByVersion } from '../shop/cached-by-version';
import { placeSet } from './listing-view';
import { groupsOf, isOpen, type GroupKind, type GroupRef } from '../shop/open-groups';
import { isPageOpen, type Page } from '../model/page';
import { targetsOf, type Section } from '../model/sections/sections';
import type { Target } from '../model/target';
import { firstSlots } from './pages/place-goods';
import { sectionsOfPage } from './pages/page-goods';
import { sectionName } from './pages/sections/sections';
import type { ResolvedShop } from '../shop/resolved-shop';

/** What the sections of a page lead to. */
const linksOfPage = (shop: ResolvedShop, page: Page): Target[] =>
  sectionsOfPage(shop, page, shop.now).flatMap(({ section }) => targetsOf(section).map(({ to }) => to));

const menuTargets = (shop: ResolvedShop): Target[] =>
  shop.menu.items.flatMap((item) => [item.target, ...item.items.map(({ target }) => target)]);

/** Pages that a shopper can walk to: the home page, those in the menu, and what such pages link to. */
const reachablePages = cachedByVersion((shop): Page[] => {
  const met = new Set<Page>();
  const reach = (page: Page | undefined) => {
    if (!page || met.has(page) || !isPageOpen(page, shop.now * 1000)) return;
    met.add(page);
    for (const { kind, id } of linksOfPage(shop, page)) if (kind === 'page') reach(shop.pages.get(id));
  };
  for (const page of shop.pages.values()) if (page.home) reach(page);
  for (const { kind, id } of menuTargets(shop)) if (kind === 'page') reach(shop.pages.get(id));
  return [...met];
});

/** The sections of pages that show products, each with their slots in order. */
function goodsOnPages(shop: ResolvedShop, now: number): { page: Page; section: Section; slots: number[] }[] {
  return reachablePages(shop).flatMap((page) =>
    sectionsOfPage(shop, page, now).map(({ section, goods }) => ({ page, section, slots: goods.slots })),
  );
}

/** Everything that shoppers meet and that leads to a listing, with the words for where it stands. */
function links(shop: ResolvedShop): { to: Target; from: string }[] {
  return [
    ...menuTargets(shop).map((to) => ({ to, from: 'Menu' })),
    ...reachablePages(shop).flatMap((page) => linksOfPage(shop, page).map((to) => ({ to, from: page.title }))),
  ];
}

/**
 * Listings that a shopper can walk to: those in the menu, linked from a page, or below such a category; and listed brands,
 * which their products link to. A listing without a way in is not a place where anything shows.
 */
export const reachableListings = cachedByVersion((shop): GroupRef[] => {
  const met = new Map<string, GroupRef>();
  const reach = (kind: GroupRef['kind'], id: string) => {
    if (isOpen(shop, { kind, id })) met.set(`${kind}:${id}`, { kind, id });
  };
  for (const { to } of links(shop)) {
    if (to.kind === 'category') for (const { id } of shop.tree.branch(to.id)) reach('category', id);
    else if (to.kind !== 'page' && to.kind !== 'product') reach(to.kind, to.id);
  }
  for (const id of shop.brands.keys()) reach('brand', id);
  return [...met.values()];
});

/** In how many places each product shows, by index slot. Cost: the sum of what all places hold. */
export function placeCounts(shop: ResolvedShop, now: number): Uint16Array {
  const counts = new Uint16Array(shop.index.alive.size);
  const add = (slot: number) => counts[slot]!++;
  for (const at of reachableListings(shop)) placeSet(shop, at, now).forEach(add);
  for (const { slots } of goodsOnPages(shop, now)) slots.forEach(add);
  return counts;
}

/** Every place in which one product shows, with its position there. */
export function whereItShows(shop: ResolvedShop, productId: string, now: number): PlaceOfProduct[] {
  const slot = shop.index.slot(productId);
  if (slot === undefined) return [];
  const places: PlaceOfProduct[] = [];
  for (const { page, section, slots } of goodsOnPages(shop, now)) {
    const at = slots.indexOf(slot);
    if (at >= 0)
      places.push({
        kind: 'section',
        id: page.id,
        label: `${page.title} › ${sectionName(shop, section)}`,
        position: at + 1,
        of: slots.length,
      });
  }
  for (const at of reachableListings(shop)) {
    if (!placeSet(shop, at, now).has(slot)) continue;
    const { slots, total } = firstSlots(shop, at, Number.MAX_SAFE_INTEGER, now);
    const { name } = groupsOf(shop, at.kind).get(at.id)!;
    places.push({ kind: at.kind, id: at.id, label: name, position: slots.indexOf(slot) + 1, of: total });
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
    if (category.parentId && ways.has(`category:${category.parentId}`))
      add(`category:${category.id}`, shop.categories.get(category.parentId)!.name);
  for (const { id, listed } of shop.brands.values()) if (listed) add(`brand:${id}`, 'Its products');
  return ways;
});

/** Where a group or a page can be met: menu items, pages that link to it, its parent; empty means nobody finds it. */
export function waysTo(shop: ResolvedShop, kind: GroupKind | 'page', id: string): string[] {
  return [...(waysByGroup(shop).get(`${kind}:${id}`) ?? [])];
}
