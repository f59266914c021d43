import type { AnswerOf, BodyOf } from '../../contract/route';
import type { shopfrontRoutes } from '../../contract/shopfront';
import { membersOf } from '../../core/rules/members';
import { Bitset } from '../../core/search/bitset';
import type { Shop } from '../../core/shop/shop';
import { faceUrl } from '../../core/storefront/card';
import { floorPlan } from '../../core/storefront/floor';
import { placeSet } from '../../core/storefront/listing-view';
import { menuUrls, menuView } from '../../core/storefront/menu-view';
import { reachOf } from '../../core/storefront/reach';
import { whereItShows } from '../../core/storefront/where-it-shows';
import type { Catalog } from '../state/catalog';

type Asked = BodyOf<typeof shopfrontRoutes.floor>;
type Floor = AnswerOf<typeof shopfrontRoutes.floor>;

/** The products that are to be lit; null for none in particular. */
function litSet(shop: Shop, lit: Asked['lit']): Bitset | null {
  if (!lit) return null;
  if ('rule' in lit) return membersOf(lit.rule, shop.index, shop.fields, shop.now).and(shop.listed);
  const set = new Bitset(shop.index.alive.size);
  const { target } = 'target' in lit ? lit : { target: null };
  if (target && target.kind !== 'product' && target.kind !== 'page')
    return set.or(placeSet(shop, { kind: target.kind, id: target.id }, shop.now));
  const ids = target?.kind === 'product' ? [target.id] : 'ids' in lit ? lit.ids : [];
  for (const id of ids) {
    const slot = shop.index.slot(id);
    if (slot !== undefined) set.add(slot);
  }
  return set;
}

/** The floor plan of the working copy. */
export function floor(catalog: Catalog, { lit: asked }: Asked): Floor {
  const { shop } = catalog.working;
  const lit = litSet(shop, asked);
  const id = (slot: number) => shop.index.id(slot);
  const thumbnail = (slot: number) => faceUrl(shop.products.get(id(slot)));
  const titles: Record<string, string> = {};
  const places = floorPlan(shop, lit).map((place) => {
    for (const slot of place.repeats) titles[id(slot)] = shop.products.get(id(slot))!.title;
    return {
      ...place,
      repeats: place.repeats.map(id),
      parts: place.parts.map((part) => ({
        ...part,
        goods: part.goods.map(({ slot, ...rest }) => ({
          id: id(slot),
          thumbnail: thumbnail(slot),
          isSoldOut: shop.facts(id(slot))!.stock === 0,
          ...rest,
        })),
      })),
    };
  });
  const slots = lit?.toArray() ?? [];
  const { products } = reachOf(shop);
  const [slot] = slots;
  const one = slots.length === 1 && slot !== undefined ? id(slot) : null;
  return {
    lit: slots.length,
    lost: shop.listed.toArray().filter((each) => products[each]! < 0).length,
    menu: menuView(shop).items.map(({ label, items }) => ({ label, below: menuUrls(items).length })),
    places,
    one:
      one === null
        ? null
        : {
            id: one,
            title: shop.products.get(one)!.title,
            thumbnail: thumbnail(slot!),
            clicks: products[slot!]! < 0 ? null : products[slot!]!,
            places: whereItShows(shop, one, catalog.now),
          },
    titles,
  };
}
