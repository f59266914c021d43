import type { OfferActionWork } from './offer-action';

export const freeDelivery: OfferActionWork<'freeDelivery'> = { words: () => 'free delivery', works: 'joins' };
