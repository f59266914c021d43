import type { ProductDocument } from '../model/document';
import type { Offer } from '../model/offer';
import { isCatalogOffer } from '../pricing/offered-price';
import { offerConditions, offerDoes, offerTimes } from '../pricing/offer-words';
import { isSent } from '../products/kinds';
import { lastDayBefore } from '../shared/moment';
import type { Shop } from '../shop/shop';
import type { ProductView } from './views';

type ToldOffer = ProductView['offers'][number];

function gives(shop: Shop, offer: Offer): string | undefined {
  const { action } = offer;
  if (action.does !== 'gift') return offerDoes(offer, { ...shop.settings, say: shop.say });
  const gift = shop.products.get(action.productId);
  return gift && shop.say('offer.giftOf', { title: gift.title });
}

/**
 * The offers on the basket that a product counts for now, in words. Those that show in its price already are not told again,
 * and codes are for those who have them.
 */
export function toldOffers(shop: Shop, product: ProductDocument): ToldOffer[] {
  const { offers, takes } = shop.offersNow.running;
  const before = shop.factsBefore(product.id);
  if (!before || product.kind === 'giftCard') return [];
  const { settings, say } = shop;
  const tongue = { currency: settings.currency, locale: settings.locale, say };
  return offers.flatMap((offer): ToldOffer[] => {
    if (offer.needsCode || isCatalogOffer(offer) || !takes(offer, before)) return [];
    const words = gives(shop, offer);
    if (words === undefined || (offer.action.does === 'freeDelivery' && !isSent(product))) return [];
    const terms = [
      // How many may use it is the seller's business.
      ...offerConditions({ ...offer, uses: null }, tongue),
      offerTimes(offer, tongue),
      offer.until === null
        ? ''
        : say('offer.until', { day: lastDayBefore(offer.until, settings.timeZone, settings.locale) }),
      offer.uses === null ? '' : say('offer.whileItLasts'),
    ].filter(Boolean);
    return [{ name: shop.offers.get(offer.id)?.name ?? offer.name, gives: words, terms: terms.join(', ') }];
  });
}
