import type { OfferActionWork } from './offer-action';

export const freeDelivery: OfferActionWork<'freeDelivery'> = {
  words: (_action, _money, say) => say('offer.freeDelivery'),
  works: 'joins',
};
