import type { OfferActionWork } from './offer-action';

export const gift: OfferActionWork<'gift'> = { words: () => 'a gift with it', works: 'joins' };
