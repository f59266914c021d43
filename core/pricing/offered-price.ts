import type { Offer } from '../model/offer';
import type { Rounding } from '../model/rounding';
import { floorPrice } from './price-floor';
import { pieceUnder, pricesPieces } from './offer-actions/offer-actions';
import { roundedPrice } from './rounded-price';

/** One piece before offers; minor units. */
export interface Piece {
  list: number;
  /** while a sale holds and is below the list price */
  sale: number | null;
  cost: number | null;
}

/** What bears on every price that an offer makes. */
export interface OfferTerms {
  /** basis points above cost, as the shop has it; null for no floor */
  floor: number | null;
  rounding: Rounding | null;
  /** basis points, contained in prices when `taxIncluded` */
  taxRate: number;
  taxIncluded: boolean;
}

/** Why an offer makes no price. */
export type Refusal = 'notLower' | 'atFloor' | 'costUnknown';

/** What one offer makes of a piece, step by step. */
interface PieceOffer {
  offer: Offer;
  /** what the action makes of it, before floor and ending */
  made: number;
  /** the floor that held it; null where it did not have to */
  heldAt: number | null;
  /** what shoppers would pay under it */
  price: number;
}
export type TriedOffer = PieceOffer | { offer: Offer; refused: Refusal };

/** An offer that shoppers meet before they have a basket: it prices pieces, and asks nothing of the basket. */
export function isCatalogOffer(offer: Offer): boolean {
  return (
    pricesPieces(offer.action) &&
    !offer.needsCode &&
    !offer.firstOrder &&
    offer.countries.length === 0 &&
    offer.subtotal === null &&
    offer.pieces === null &&
    offer.uses === null &&
    offer.usesPerShopper === null
  );
}

/** The order in which offers are looked at: the higher priority first. */
export const byPriority = (a: Offer, b: Offer): number => b.priority - a.priority || (a.id < b.id ? -1 : 1);

/** The lowest price that an offer may make of a piece; 0 without a floor, or without a known cost. */
export function lowestUnder({ floor }: Pick<Offer, 'floor'>, cost: number | null, terms: OfferTerms): number {
  const above = floor ?? terms.floor;
  return above === null || cost === null ? 0 : floorPrice(cost, above, terms.taxRate, terms.taxIncluded);
}

/**
 * What one offer makes of a price. Never below its floor or `atLeast`, the floor of offers that made the price, and never above
 * the price that it is made from.
 */
export function tryOffer(offer: Offer, price: number, cost: number | null, terms: OfferTerms, atLeast = 0): TriedOffer {
  const made = pieceUnder(offer.action, {
    price,
    cost,
    asked: (net) => floorPrice(net, 0, terms.taxRate, terms.taxIncluded),
  });
  if (made === null) return { offer, refused: 'costUnknown' };
  if (made >= price) return { offer, refused: 'notLower' };
  const lowest = Math.max(atLeast, lowestUnder(offer, cost, terms));
  if (lowest >= price) return { offer, refused: 'atFloor' };
  const held = Math.max(made, lowest);
  const { rounding } = terms;
  let ended = rounding ? roundedPrice(held, rounding) : held;
  if (ended < lowest) ended = roundedPrice(lowest, { ...rounding!, way: 'up' });
  if (ended >= price) ended = held;
  return { offer, made, heldAt: held > made ? lowest : null, price: ended };
}

/** What a piece costs under the catalog offers that take it in. */
export interface OfferedPrice {
  price: number;
  /** the offers that made the price, in the order in which they did; none when sale or list price is better */
  used: PieceOffer[];
  /** the highest floor of these: nothing may take the price below it */
  lowest: number;
  /** every offer that was looked at, the used ones too */
  tried: TriedOffer[];
}

/**
 * The best price for the shopper: what is left after all offers that stack came off the sale price one after another, or
 * what one of the others makes of the list price alone. Ties go to what stacks, then to the higher priority. `offers`: those
 * that take the piece in, in order of priority. O(offers).
 */
export function offeredPrice({ list, sale, cost }: Piece, offers: readonly Offer[], terms: OfferTerms): OfferedPrice {
  let price = sale ?? list;
  let lowest = 0;
  const chain: PieceOffer[] = [];
  const tried: TriedOffer[] = [];
  for (const offer of offers) {
    if (!offer.stacks) continue;
    const one = tryOffer(offer, price, cost, terms, lowest);
    tried.push(one);
    if ('refused' in one) continue;
    chain.push(one);
    price = one.price;
    lowest = Math.max(lowest, lowestUnder(offer, cost, terms));
  }
  let used = chain;
  for (const offer of offers) {
    if (offer.stacks) continue;
    const one = tryOffer(offer, list, cost, terms);
    tried.push(one);
    if ('refused' in one || one.price >= price) continue;
    used = [one];
    price = one.price;
    lowest = lowestUnder(offer, cost, terms);
  }
  return { price, used, lowest, tried };
}
