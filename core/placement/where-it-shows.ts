import { placeSet, type ListingPlace } from './listing-view';
import type { Page, Section } from './page';
import { firstSlots, stripSlots } from './page-view';
import type { ResolvedShop } from './resolved-shop';

/** One spot of the storefront in which a product appears. */
export interface PlaceOfProduct {
  kind: 'strip' | 'category' | 'collection';
  /** page, category or collection id */
  id: string;
  /** "Home › Light-wind days" */
  label: string;
  /** 1 for the first */
  position: number;
  of: number;
}

function strips(shop: ResolvedShop): { page: Page; section: Extract<Section, { kind: 'strip' }> }[] {
  return [...shop.pages.values()].flatMap((page) =>
    page.sections.flatMap((section) => (section.kind === 'strip' ? [{ page, section }] : [])),
  );
}

/**
 * Listings that a shopper can walk to: those in the menu, linked from a page, or below such a category.
 * A listing without a way in is not a place where anything shows.
 */
export function reachableListings(shop: ResolvedShop): ListingPlace[] {
  const categories = new Set<string>();
  const collections = new Set<string>();
  const reach = (kind: string, id: string) => {
    if (kind === 'category') for (const category of shop.tree.branch(id)) categories.add(category.id);
    if (kind === 'collection' && shop.collections.has(id)) collections.add(id);
  };
  for (const item of shop.menu.items) {
    reach(item.target.kind, item.target.id);
    for (const { target } of item.items) reach(target.kind, target.id);
  }
  for (const page of shop.pages.values())
    for (const section of page.sections) {
      if (section.kind === 'tiles') for (const id of section.categoryIds) reach('category', id);
      if (section.kind === 'banner' && section.link) reach(section.link.kind, section.link.id);
      if (section.kind === 'strip' && section.source) reach(section.source.kind, section.source.id);
    }
  return [
    ...[...categories].map((id) => ({ kind: 'category' as const, id })),
    ...[...collections].map((id) => ({ kind: 'collection' as const, id })),
  ];
}

/** In how many places each product shows, by index slot. Cost: the sum of what all places hold. */
export function placeCounts(shop: ResolvedShop, now: number): Uint16Array {
  const counts = new Uint16Array(shop.index.alive.size);
  const add = (slot: number) => counts[slot]!++;
  for (const at of reachableListings(shop)) placeSet(shop, at, now).forEach(add);
  for (const { section } of strips(shop)) stripSlots(shop, section, now).slots.forEach(add);
  return counts;
}

/** Every place in which one product shows, with its position there. */
export function whereItShows(shop: ResolvedShop, productId: string, now: number): PlaceOfProduct[] {
  const slot = shop.index.slot(productId);
  if (slot === undefined) return [];
  const places: PlaceOfProduct[] = [];
  for (const { page, section } of strips(shop)) {
    const { slots } = stripSlots(shop, section, now);
    const at = slots.indexOf(slot);
    if (at >= 0)
      places.push({
        kind: 'strip',
        id: page.id,
        label: `${page.title} › ${section.title}`,
        position: at + 1,
        of: slots.length,
      });
  }
  for (const at of reachableListings(shop)) {
    if (at.kind === 'all' || !placeSet(shop, at, now).has(slot)) continue;
    const { slots, total } = firstSlots(shop, at, Number.MAX_SAFE_INTEGER, now);
    const name = (at.kind === 'category' ? shop.categories : shop.collections).get(at.id)!.name;
    places.push({ kind: at.kind, id: at.id, label: name, position: slots.indexOf(slot) + 1, of: total });
  }
  return places;
}

/** Where a category or collection can be met: menu items, pages that link to it; empty means nobody finds it. */
export function waysTo(shop: ResolvedShop, kind: 'category' | 'collection', id: string): string[] {
  const ways: string[] = [];
  const is = (target: { kind: string; id: string } | null) => target?.kind === kind && target.id === id;
  for (const item of shop.menu.items) for (const { target } of [item, ...item.items]) if (is(target)) ways.push('Menu');
  for (const page of shop.pages.values())
    for (const section of page.sections) {
      const hit =
        section.kind === 'tiles'
          ? kind === 'category' && section.categoryIds.includes(id)
          : is(section.kind === 'banner' ? section.link : section.source);
      if (hit) ways.push(page.title);
    }
  const parent = kind === 'category' ? shop.categories.get(id)?.parentId : null;
  if (parent && waysTo(shop, 'category', parent).length > 0) ways.push(shop.categories.get(parent)!.name);
  return [...new Set(ways)];
}
