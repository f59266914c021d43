import { sayEnglish, type ToldKey } from '../../languages/fixed/english';
import type { Say } from '../../languages/fixed/say';
import type { OfferAction, OfferActionKind } from '../../model/offer-action';
import { amount } from './amount';
import { costPlus } from './cost-plus';
import { freeDelivery } from './free-delivery';
import { gift } from './gift';
import { ladder } from './ladder';
import { nForM } from './n-for-m';
import type { OfferActionWork, PieceToPrice, Run } from './offer-action';
import { oneOf } from './one-of';
import { percent } from './percent';
import { price } from './price';
import { setPrice } from './set-price';

const works: { readonly [K in OfferActionKind]: OfferActionWork<K> } = {
  percent,
  amount,
  price,
  costPlus,
  oneOf,
  nForM,
  setPrice,
  ladder,
  gift,
  freeDelivery,
};
const workOf = (action: OfferAction) => works[action.does] as unknown as OfferActionWork<OfferActionKind>;

/** What an offer does, in words: "10 % off". `money` writes an amount. */
export const actionWords = (
  action: OfferAction,
  money: (amount: number) => string,
  say: Say<ToldKey> = sayEnglish,
): string => workOf(action).words(action, money, say);

/** True for what prices each piece by itself, so that shoppers can be told the price before they have a basket. */
export const pricesPieces = (action: OfferAction): boolean =>
  workOf(action).works === 'piece' || (action.does === 'amount' && action.per === 'piece');

/** True for what takes something off goods; false for a gift and for free delivery. */
export const reducesGoods = (action: OfferAction): boolean => workOf(action).works !== 'joins';

/** The price of one piece under an action that prices pieces; null where it cannot be told. */
export function pieceUnder(action: OfferAction, piece: PieceToPrice): number | null {
  const work = workOf(action);
  if (work.works === 'piece') return work.piece(action, piece);
  if (work.works === 'basket') return piece.price - work.basket(action, [{ price: piece.price, quantity: 1 }])[0]!;
  return null;
}

/** What an action takes off each of some runs, minor units. */
export function basketUnder(action: OfferAction, runs: readonly Run[]): number[] {
  const work = workOf(action);
  return work.works === 'basket' ? work.basket(action, runs) : runs.map(() => 0);
}
