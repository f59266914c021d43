import type { ToldKey } from '../../languages/fixed/english';
import type { Say } from '../../languages/fixed/say';
import type { OfferActionKind, OfferActionOf } from '../../model/offer-action';

/** One piece as an action that prices piece by piece meets it; minor units. */
export interface PieceToPrice {
  price: number;
  /** without tax; null while it is not known */
  cost: number | null;
  /** a cost as it is asked of shoppers: with tax where prices contain it */
  asked: (cost: number) => number;
}

/** Pieces of one line that an action on the basket meets; minor units. */
export interface Run {
  price: number;
  quantity: number;
}

/**
 * What an offer can do, in one of these ways. piece: the price of one piece; null where it cannot be told. basket: what
 * comes off each run, which may depend on all of them. joins: it takes nothing off goods.
 */
export type OfferActionWork<K extends OfferActionKind> = {
  /** how it reads in a sentence about the goods, such as "10 % off" */
  words: (action: OfferActionOf<K>, money: (amount: number) => string, say: Say<ToldKey>) => string;
} & (
  | { works: 'piece'; piece: (action: OfferActionOf<K>, piece: PieceToPrice) => number | null }
  | { works: 'basket'; basket: (action: OfferActionOf<K>, runs: readonly Run[]) => number[] }
  | { works: 'joins' }
);

/** Percentages as people read them: 1250 → "12.5 %". */
export const percentWords = (basisPoints: number) => `${basisPoints / 100} %`;
