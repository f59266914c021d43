import type { GroupPicture } from '../../model/group';
import type { PlacedPicture } from '../../model/sections/picture';
import type { Target } from '../../model/target';
import { list } from '../../search/listing';
import { LAST } from '../../shop/facts';
import { groupsOf } from '../../shop/open-groups';
import type { Shop } from '../../shop/shop';
import { pictureView } from '../card';
import { type PictureView } from '../views';
import { firstOrder, placeSet, type ListingPlace } from '../listing-view';

/** The first products of a place, as they stand before a shopper chooses an order. */
export function firstSlots(shop: Shop, at: ListingPlace, limit: number, now: number) {
  const last = shop.index.posting(LAST, 'yes');
  return list(shop.index, { base: placeSet(shop, at, now), sort: firstOrder(shop, at, now), offset: 0, limit, last });
}

/** The picture that the seller gave a group, as it is drawn: it fills its frame. */
export function groupPicture(picture: GroupPicture | null): PictureView | null {
  return picture && { ...picture, focus: { x: 0.5, y: 0.5 }, fit: 'fills', background: '#ffffff' };
}

/** A picture that was uploaded for a page, as it is drawn. */
export const placedPicture = (picture: PlacedPicture): PictureView => ({
  ...picture,
  fit: 'fills',
  background: '#ffffff',
});

/** A product whose face stands for what a link leads to: the first of a group that has one. */
export function faceSlot(shop: Shop, to: Target, now: number): number | undefined {
  if (to.kind === 'page') return undefined;
  if (to.kind === 'product') return shop.index.slot(to.id);
  const { slots } = firstSlots(shop, { kind: to.kind, id: to.id }, 8, now);
  return slots.find((slot) => shop.products.get(shop.index.id(slot))!.pictures.length > 0) ?? slots[0];
}

/** The picture of a place of the page: its own, or the one of what it is given after. */
export function pictureFor(
  shop: Shop,
  own: PlacedPicture | null,
  after: Target | null,
  now: number,
): PictureView | null {
  if (own) return placedPicture(own);
  if (!after || after.kind === 'page') return null;
  if (after.kind !== 'product') {
    const given = groupPicture(groupsOf(shop, after.kind).get(after.id)?.picture ?? null);
    if (given) return given;
  }
  const slot = faceSlot(shop, after, now);
  const face = slot === undefined ? undefined : shop.products.get(shop.index.id(slot))?.pictures[0];
  // The words beside it say what it is.
  return face ? { ...pictureView(face, ''), alt: '' } : null;
}
