import { groupsOf } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { OWN_PAGE, type Exposures } from './exposure';
import type { VisitedPlace } from './shop-visits';

/** What a place of a visit is called. Pages of one listing, and the pages of goods, share a name. */
function placeName(shop: Shop, place: VisitedPlace): string {
  if (place.kind === 'search') return 'Search';
  if (place.kind === 'products') return 'Pages of other goods';
  if (place.kind === 'page') return shop.pages.get(place.id)?.title ?? '';
  const name = groupsOf(shop, place.kind).get(place.id)?.name ?? '';
  return place.page === 1 ? name : `${name}, further pages`;
}

/** Where visits first see the product in an index slot, the likeliest place first; together its exposure. */
export function firstSeenAt(
  shop: Shop,
  places: readonly VisitedPlace[],
  { sightings }: Exposures,
  slot: number,
): { name: string; chance: number }[] {
  const byName = new Map<string, number>();
  for (const { place, first } of sightings(slot)) {
    const name = place === OWN_PAGE ? 'Its own page' : placeName(shop, places[place]!);
    byName.set(name, (byName.get(name) ?? 0) + first);
  }
  return [...byName].map(([name, chance]) => ({ name, chance })).sort((a, b) => b.chance - a.chance);
}
