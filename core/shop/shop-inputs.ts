import type { DocumentBodies, DocumentKind, ProductDocument } from '../model/document';
import type { IndexState } from '../search/state';
import type { DaySales } from './facts';

/** What a shop asks of what is around it. */
export interface ResolvedShopInputs {
  /** pieces left of a variant; null when it is not counted */
  stock: (variantId: string) => number | null;
  /** what was sold of a product, by day, the last day first */
  sales?: (productId: string) => readonly DaySales[];
  /** standings beyond a product's own, such as "changed" for the desk */
  marks?: (product: ProductDocument) => readonly string[];
  /** told of each product of which offers made, or let go of, the prices */
  offered?: (productId: string) => void;
  /** lowest price of a variant that is reduced now, in the 30 days before that; undefined where it was not sold then */
  lowestBefore?: (variantId: string) => number | undefined;
  /** seconds since 1970 at which the shop begins; see `ShopNews` */
  now?: number;
}

/** One document put in, or taken out when it has no body. */
export interface DocumentUpdate {
  kind: DocumentKind;
  key: string;
  body: DocumentBodies[DocumentKind] | undefined;
}

/** What can be new for a shop. */
export interface ShopNews {
  /** documents that are put in, or taken out */
  documents?: readonly DocumentUpdate[];
  /** ids of products whose stock or sales changed: they are worked out again */
  refreshed?: readonly string[];
  /** ids of products whose marks turned, and nothing else of them: much quicker than working them out again */
  marked?: readonly string[];
  /** moment of the shop from now on, seconds since 1970 */
  now?: number;
}

/** What was worked out of products before, so that it need not be again. */
export interface WorkedOut {
  index: IndexState;
  /** moment, seconds since 1970, for which it stands; not after that of the shop */
  now: number;
  /** true for products that were worked out as they are now, along with all that they name */
  holds: (productId: string) => boolean;
}
