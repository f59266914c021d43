import type { BasketContents } from '../../core/model/basket';
import type { ShopperTerms } from '../../core/shop/shop-basket';
import type { Catalog } from '../state/catalog';
import { readGiftCard } from '../store/gift-cards';
import { countCodeUses, countUses, readCode } from '../store/offers';
import { hasOrdered } from '../store/shop-orders';

/** What the typed codes of a basket are, for the shop that is live now. */
export interface TypedCodes {
  shopper: ShopperTerms;
  /** gift cards that something is left on */
  cards: { code: string; left: number }[];
  /** codes that do nothing at all, and why */
  unknown: { code: string; words: string }[];
}

/** `email`: in small letters; null while nobody knows who the shopper is. */
export function typedCodes(
  { db, live }: Catalog,
  { codes }: Pick<BasketContents, 'codes'>,
  email: string | null,
): TypedCodes {
  const byOffer = new Map<string, string>();
  const cards: TypedCodes['cards'] = [];
  const unknown: TypedCodes['unknown'] = [];
  const running = new Set(live.shop.offersNow.running.offers.map(({ id }) => id));
  const spent = new Set<string>();
  for (const code of codes) {
    const card = readGiftCard(db, code);
    const found = card ? undefined : readCode(db, code);
    const refuse = (words: string) => unknown.push({ code, words });
    if (card) {
      if (card.isOff || card.left <= 0) refuse('Nothing is left on this gift card.');
      else cards.push({ code, left: card.left });
    } else if (!found) refuse('We do not know this code. Please look at it again.');
    else if (!running.has(found.offerId)) refuse('This code does not hold at the moment.');
    else {
      byOffer.set(found.offerId, code);
      if (found.uses !== null && countCodeUses(db, code) >= found.uses) spent.add(found.offerId);
    }
  }
  const usesLeft = (offerId: string) => {
    const offer = live.shop.offers.get(offerId);
    if (!offer || spent.has(offerId)) return 0;
    if (offer.uses === null && offer.usesPerShopper === null) return Infinity;
    const { all, own } = countUses(db, offerId, email);
    return Math.min((offer.uses ?? Infinity) - all, (offer.usesPerShopper ?? Infinity) - (email === null ? 0 : own));
  };
  const isFirstOrder = email === null ? null : !hasOrdered(db, email);
  return { shopper: { codes: byOffer, isFirstOrder, usesLeft }, cards, unknown };
}
