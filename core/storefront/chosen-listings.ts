import { CHOSEN_PATH, keptById, type ChosenListing } from '../model/chosen-listing';
import { groupsOf, isOpen, urlOfGroup } from '../shop/open-groups';
import type { Shop } from '../shop/shop';
import { listingView, type ListingPlace, type ListingRequest } from './listing-view';

const isKeptById = (key: string) => (keptById as readonly string[]).includes(key);

/** A value of a filter as it stands in addresses of this shop; undefined when its group is gone. */
const inAddress = (shop: Shop, key: string, value: string): string | undefined =>
  isKeptById(key) ? groupsOf(shop, key as 'category' | 'brand').get(value)?.slug : value;

export const chosenUrl = ({ slug }: Pick<ChosenListing, 'slug'>): string => `/${CHOSEN_PATH}/${slug}`;

const placeOf = ({ at }: ChosenListing): ListingPlace => at ?? { kind: 'all' };

/** The listing that it stands for: its filters are chosen, beside what else is asked. */
export function chosenRequest(shop: Shop, chosen: ChosenListing, asked: ListingRequest): ListingRequest {
  const choices = new Map(asked.choices);
  for (const { key, values } of chosen.choices)
    choices.set(
      key,
      values.flatMap((value) => inAddress(shop, key, value) ?? []),
    );
  return { ...asked, at: placeOf(chosen), choices };
}

const plainRequest = (at: ListingPlace): ListingRequest => ({
  at,
  q: '',
  page: 1,
  sort: '',
  choices: new Map(),
  price: null,
  spans: new Map(),
});

/** Goods in it now. */
export const chosenGoods = (shop: Shop, chosen: ChosenListing): number =>
  listingView(shop, chosenRequest(shop, chosen, plainRequest(placeOf(chosen))), shop.now).total;

/** Shoppers meet it while its group is on the shop. */
export const isChosenOpen = (shop: Shop, { at }: ChosenListing): boolean => at === null || isOpen(shop, at);

/** The address of the listing without its own one: group and filters. */
export function plainUrl(shop: Shop, { at, choices }: ChosenListing): string {
  const query = new URLSearchParams();
  for (const { key, values } of choices)
    query.set(`f.${key}`, values.flatMap((value) => inAddress(shop, key, value) ?? []).join(','));
  return `${at ? (urlOfGroup(shop, at) ?? '/') : '/search'}?${query.toString()}`;
}

/** The chosen listing at this address. */
export const chosenAt = (shop: Shop, slug: string): ChosenListing | undefined =>
  [...shop.chosen.values()].find((each) => each.slug === slug);

/** What filters choose, however they and their values are ordered. */
const keyOf = (choices: Iterable<readonly [string, readonly string[]]>): string =>
  JSON.stringify([...choices].map(([key, values]) => [key, [...values].sort()]).sort());

/** The chosen listing of the same place and the same filters, open or not. O(chosen listings). */
export function chosenTwin(
  shop: Shop,
  { at, choices }: Pick<ChosenListing, 'at' | 'choices'>,
): ChosenListing | undefined {
  const identity = (of: Pick<ChosenListing, 'at' | 'choices'>) =>
    `${of.at?.kind} ${of.at?.id} ${keyOf(of.choices.map(({ key, values }) => [key, values] as const))}`;
  const wanted = identity({ at, choices });
  return [...shop.chosen.values()].find((each) => identity(each) === wanted);
}

/** The chosen listing that shows just what is asked for: the same place, the same filters and nothing else. */
export function chosenLike(shop: Shop, { at, q, choices, price, spans }: ListingRequest): ChosenListing | undefined {
  if (q !== '' || price || spans.size > 0) return undefined;
  const wanted = keyOf(choices);
  return [...shop.chosen.values()].find((chosen) => {
    const place = placeOf(chosen);
    const isHere = place.kind === at.kind && (place.kind === 'all' || place.id === (at as { id: string }).id);
    return (
      isHere && isChosenOpen(shop, chosen) && keyOf(chosenRequest(shop, chosen, plainRequest(at)).choices) === wanted
    );
  });
}
