import type { OfferActionWork } from './offer-action';

export const gift: OfferActionWork<'gift'> = { words: (_action, _money, say) => say('offer.gift'), works: 'joins' };
