import type { SectionOf } from '../../../model/sections/sections';
import { isOpen } from '../../../shop/open-groups';
import type { Shop } from '../../../shop/shop';
import { listingView, placeSet, type ListingPlace } from '../../listing-view';
import type { ListingView } from '../../views';
import { targetName } from '../targets';
import type { SectionPart } from './section-part';

interface ListingSectionView {
  kind: 'listing';
  title: string;
  /** what was searched within it */
  q: string;
  listing: ListingView | null;
}

type Listing = SectionOf<'listing'>;

const placeOf = ({ of }: Listing): ListingPlace => of ?? { kind: 'all' };
const isShut = (shop: Shop, { of }: Listing) => of !== null && !isOpen(shop, of);
const titleOf = (shop: Shop, { title, of }: Listing) =>
  title || (of && targetName(shop, of)) || shop.say('strip.allGoods');

export const listing: SectionPart<'listing', ListingSectionView> = {
  view: (shop, section, { now, listingAt }) => {
    const at = placeOf(section);
    const request = listingAt?.(at) ?? {
      at,
      q: '',
      page: 1,
      sort: '',
      choices: new Map(),
      price: null,
      spans: new Map(),
    };
    return {
      kind: 'listing',
      title: titleOf(shop, section),
      q: request.q,
      listing: isShut(shop, section) ? null : listingView(shop, request, now),
    };
  },
  title: titleOf,
  place: (shop, section) => (isShut(shop, section) ? undefined : placeOf(section)),
  summary: (shop, section, { now }) => {
    const count = isShut(shop, section) ? 0 : placeSet(shop, placeOf(section), now).count();
    return {
      faces: [],
      shown: count,
      available: count,
      says: `${count} goods with filters`,
      warnings: isShut(shop, section)
        ? [`Its ${section.of!.kind} is not on the shop now: shoppers do not see this listing.`]
        : count === 0
          ? ['There are no goods in it.']
          : [],
    };
  },
  fields: (shop, section) => [
    ['Title', titleOf(shop, section)],
    ['Goods', section.of ? `${section.of.kind} ${targetName(shop, section.of) ?? 'that was deleted'}` : 'everything'],
  ],
};
