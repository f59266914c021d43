import type { ListingPlace, ListingRequest } from '../listing-view';

/** When and how a page is looked at. */
export interface Scene {
  /** seconds since 1970 */
  now: number;
  /** so many days later for goods that take turns, to see who comes */
  daysOn?: number;
  /** what is asked of a listing on the page: filters, search, sort, page */
  listingAt?: (at: ListingPlace) => ListingRequest;
  /** also sections that shoppers do not see now, as for who builds the page */
  showsUnseen?: boolean;
}
