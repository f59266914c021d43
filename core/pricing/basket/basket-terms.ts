import type { Offer } from '../../model/offer';
import type { QuantityPrice } from '../../model/product-values';
import type { CountryTax, TaxClass, TaxSum } from '../tax';
import type { OfferTerms } from '../offered-price';

/** Pieces of one thing in a basket. Amounts in minor units, as the shop stores them. */
export interface BasketLine {
  key: string;
  productId: string;
  variantId: string;
  quantity: number;
  list: number;
  sale: number | null;
  saleUntil: string | null;
  quantityPrices: readonly QuantityPrice[];
  /** without tax, of one piece; null while it is not known */
  cost: number | null;
  taxClass: TaxClass;
  /** a gift card is paid as it is: no offer takes anything off it, and tax comes when it is spent */
  isGiftCard: boolean;
}

export interface BasketInput {
  lines: readonly BasketLine[];
  /** all that hold now, in order of priority */
  offers: readonly Offer[];
  takes: (offer: Offer, line: BasketLine) => boolean;
  /** codes that were typed, by the offer that each is for */
  codes: ReadonlyMap<string, string>;
  country: string;
  /** null while nobody knows who the shopper is: it is looked at again when the order is placed */
  isFirstOrder: boolean | null;
  /** how often an offer can still be used by this shopper */
  usesLeft: (offerId: string) => number;
  terms: Pick<OfferTerms, 'floor' | 'rounding'>;
  tax: CountryTax;
  /** price of delivery before offers; null while no way of delivery is chosen */
  delivery: number | null;
  /** fee of the way of paying */
  fee: number;
}

/** One step of how the price of one piece came about, before offers on the basket. */
export type LineStep =
  | { what: 'list'; amount: number }
  | { what: 'sale'; amount: number; until: string | null }
  | { what: 'offer'; amount: number; offerId: string; name: string; heldAt: number | null; made: number }
  | { what: 'quantity'; amount: number; from: number; off: number };

/** What an offer on the basket takes off a line. */
export interface LineReduction {
  offerId: string;
  name: string;
  off: number;
}

export interface PricedLine {
  key: string;
  quantity: number;
  /** the list price, as it is asked in the shopper's country */
  list: number;
  /** the price of one piece before offers on the basket: what the last step says */
  unit: number;
  steps: LineStep[];
  reductions: LineReduction[];
  /** `unit` × `quantity` less the reductions */
  total: number;
  /** basis points */
  rate: number;
  /** contained in the total, or added to it; see `BasketPrice.taxIncluded` */
  tax: number;
}

/** Why an offer that holds takes nothing off this basket. */
export type BasketRefusal =
  | { why: 'noGoods' | 'country' | 'firstOrder' | 'usedUp' | 'nothingOff' | 'atFloor' | 'better' | 'noDelivery' }
  | { why: 'subtotal'; missing: number }
  | { why: 'pieces'; missing: number };

export interface UsedOffer {
  offerId: string;
  name: string;
  code: string | null;
  /** what it takes off in all; of free delivery, what delivery would have cost */
  off: number;
  gift: { productId: string; variantId: string } | null;
}

export interface BasketPrice {
  lines: PricedLine[];
  used: UsedOffer[];
  refused: ({ offerId: string; name: string; code: string | null } & BasketRefusal)[];
  /** sum of the lines */
  goods: number;
  /** what delivery costs after offers; null while no way is chosen */
  delivery: number | null;
  fee: number;
  taxIncluded: boolean;
  /** of goods, delivery and fee, the highest rate first */
  taxes: TaxSum[];
  /** what is to be paid: all of it, and the tax where it is added */
  total: number;
}
