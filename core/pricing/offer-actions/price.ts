import type { OfferActionWork } from './offer-action';

export const price: OfferActionWork<'price'> = {
  words: ({ price }, money, say) => say('offer.price', { price: money(price) }),
  works: 'piece',
  piece: ({ price }) => price,
};
