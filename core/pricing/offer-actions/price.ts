import type { OfferActionWork } from './offer-action';

export const price: OfferActionWork<'price'> = {
  words: ({ price }, money) => `for ${money(price)} each`,
  works: 'piece',
  piece: ({ price }) => price,
};
