import type { GroupPicture } from '../../model/group';
import { list } from '../../search/listing';
import { LAST } from '../../shop/facts';
import type { ResolvedShop } from '../../shop/resolved-shop';
import { pictureView } from '../card';
import { type PictureView } from '../views';
import { ownOrder, placeSet, type ListingPlace } from '../listing-view';

/** The first products of a place in its own order. */
export function firstSlots(shop: ResolvedShop, at: ListingPlace, limit: number, now: number) {
  const last = shop.index.posting(LAST, 'yes');
  return list(shop.index, { base: placeSet(shop, at, now), sort: ownOrder(shop, at, now), offset: 0, limit, last });
}

/** The picture that the seller gave a group, as it is drawn: it fills its frame. */
export function groupPicture(picture: GroupPicture | null): PictureView | null {
  return picture && { ...picture, focus: { x: 0.5, y: 0.5 }, fit: 'fills', background: '#ffffff' };
}

/** The face of the first product of a place that has one. */
export function faceOfPlace(shop: ResolvedShop, at: ListingPlace, now: number): PictureView | null {
  for (const slot of firstSlots(shop, at, 8, now).slots) {
    const product = shop.products.get(shop.index.id(slot))!;
    const face = product.pictures[0];
    if (face) return { ...pictureView(face, product.title), alt: '' };
  }
  return null;
}
