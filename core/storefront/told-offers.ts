import type { ProductDocument } from '../model/document';
import type { Offer } from '../model/offer';
import { isCatalogOffer } from '../pricing/offered-price';
import { offerConditions, offerDoes, offerTimes } from '../pricing/offer-words';
import { isSent } from '../products/kinds';
import { lastDayBefore } from '../shared/moment';
import type { ResolvedShop } from '../shop/resolved-shop';
import type { ProductView } from './views';

type ToldOffer = ProductView['offers'][number];

function gives(shop: ResolvedShop, offer: Offer): string | undefined {
  const { action } = offer;
  if (action.does !== 'gift') return offerDoes(offer, shop.settings);
  const gift = shop.products.get(action.productId);
  return gift && `${gift.title} as a gift`;
}

/**
 * The offers on the basket that a product counts for now, in words. Those that show in its price already are not told again,
 * and codes are for those who have them.
 */
export function toldOffers(shop: ResolvedShop, product: ProductDocument): ToldOffer[] {
  const { offers, takes } = shop.offersNow.running;
  const before = shop.factsBefore(product.id);
  if (!before || product.kind === 'giftCard') return [];
  const { settings } = shop;
  return offers.flatMap((offer): ToldOffer[] => {
    if (offer.needsCode || isCatalogOffer(offer) || !takes(offer, before)) return [];
    const words = gives(shop, offer);
    if (words === undefined || (offer.action.does === 'freeDelivery' && !isSent(product))) return [];
    const terms = [
      // How many may use it is the seller's business.
      ...offerConditions({ ...offer, uses: null }, settings),
      offerTimes(offer),
      offer.until === null ? '' : `until ${lastDayBefore(offer.until, settings.timeZone, settings.locale)}`,
      offer.uses === null ? '' : 'while it lasts',
    ].filter(Boolean);
    return [{ name: offer.name, gives: words, terms: terms.join(', ') }];
  });
}
