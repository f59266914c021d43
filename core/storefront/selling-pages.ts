import type { OrderBody } from '../model/shop-order';
import type { BasketView } from './basket-shapes';

/** What a shopper typed on the checkout page, by field, as it came. */
export type CheckoutValues = Readonly<Record<string, string>>;

interface BasketPageData {
  kind: 'basket';
  basket: BasketView;
  /** what is wrong with what was sent just now; empty for nothing */
  problem: string;
  /** address that opens this basket on another device; null while it is empty */
  elsewhere: string | null;
}

export interface CheckoutPageData {
  kind: 'checkout';
  basket: BasketView;
  needsAddress: boolean;
  payments: { id: string; name: string; words: string; fee: number; chosen: boolean }[];
  /** what shoppers agree to; empty for nothing */
  terms: string;
  values: CheckoutValues;
  /** what is wrong, by field; under "" what belongs to none */
  problems: Readonly<Record<string, string>>;
  attempt: string;
  /** sent back with the order, so that nothing is ordered that was not seen */
  seen: string;
}

export interface OrderPageData {
  kind: 'order';
  number: number;
  /** when it was placed, in words */
  day: string;
  statusWords: string;
  isPaid: boolean;
  refunded: number;
  order: Pick<
    OrderBody,
    | 'lines'
    | 'address'
    | 'contact'
    | 'delivery'
    | 'payment'
    | 'giftCards'
    | 'goods'
    | 'used'
    | 'taxIncluded'
    | 'taxes'
    | 'total'
    | 'due'
    | 'currency'
    | 'note'
  >;
  country: string;
  parcels: { day: string; tracking: string; lines: string[] }[];
  downloads: { name: string; url: string; left: number | null; until: string | null }[];
  giftCards: { code: string; worth: number }[];
  /** addresses of the invoice; null while it is not paid */
  invoice: { html: string; pdf: string } | null;
  /** where the simulated card is asked; null where there is nothing to pay by card */
  card: { action: string; words: string } | null;
  isNew: boolean;
}

/** Pages of the selling stand-in: they are one shopper's own, and part of no edition. */
export type SellingPage = BasketPageData | CheckoutPageData | OrderPageData;
