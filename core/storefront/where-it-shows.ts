import type { PlaceOfProduct } from './views';
import { cachedByVersion } from '../shop/cached-by-version';
import { placeSet } from './listing-view';
import { groupsOf, type GroupKind } from '../shop/open-groups';
import type { Page } from '../model/page';
import type { Section } from '../model/sections/sections';
import type { Target } from '../model/target';
import { firstSlots } from './pages/place-goods';
import { sectionsOfPage } from './pages/page-goods';
import { sectionLinks, sectionName } from './pages/sections/sections';
import { openTarget } from './pages/targets';
import { menuLinks, pagesOnListings, reachableListings, reachablePages } from './reach';
import type { ResolvedShop } from '../shop/resolved-shop';

/** The sections of pages that show products, each with their slots in order. */
function goodsOnPages(shop: ResolvedShop, now: number): { page: Page; section: Section; slots: number[] }[] {
  return [...reachablePages(shop), ...pagesOnListings(shop)].flatMap((page) =>
    sectionsOfPage(shop, page, now).map(({ section, goods }) => ({ page, section, slots: goods.slots })),
  );
}

/** Everything that shoppers meet and that leads to a page or a listing, with the words for where it stands. */
function links(shop: ResolvedShop): { to: Target; from: string }[] {
  const ofPage = (page: Page, from: string) =>
    sectionsOfPage(shop, page, shop.now).flatMap(({ section, goods }) =>
      sectionLinks(shop, section, goods).flatMap((link) => {
        const to = openTarget(shop, link);
        return to ? [{ to, from }] : [];
      }),
    );
  return [
    ...menuLinks(shop).flatMap((link) => {
      const to = openTarget(shop, link);
      return to ? [{ to, from: 'Menu' }] : [];
    }),
    ...reachablePages(shop).flatMap((page) => ofPage(page, page.title)),
    ...pagesOnListings(shop).flatMap((page) => ofPage(page, page.title)),
  ];
}

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
