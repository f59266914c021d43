import type { ListingView } from '../../core/storefront/views';
import type { Shop } from '../../core/shop/shop';
import { ReadyJson } from '../http/ready-json';

const MOST_KEPT = 500;
/** Addresses beyond this length come from no link of the shop. */
const LONGEST_ADDRESS = 500;

/**
 * Listings of the live shop as they were last answered. Many shoppers ask for the same few; an answer holds until the shop
 * changes, as it also does by the clock.
 */
export class ListingCache {
  readonly #answers = new Map<string, ReadyJson<ListingView>>();
  #version = -1;

  constructor(readonly shop: Shop) {}

  /** The listing at an address, made by `make` when it is not known. */
  answer(address: string, make: () => ListingView): ReadyJson<ListingView> {
    if (this.shop.version !== this.#version) {
      this.#answers.clear();
      this.#version = this.shop.version;
    }
    const known = this.#answers.get(address);
    if (known) return known;
    const answer = new ReadyJson(make());
    if (address.length > LONGEST_ADDRESS) return answer;
    const [oldest] = this.#answers.size >= MOST_KEPT ? this.#answers.keys() : [];
    if (oldest !== undefined) this.#answers.delete(oldest);
    this.#answers.set(address, answer);
    return answer;
  }
}
