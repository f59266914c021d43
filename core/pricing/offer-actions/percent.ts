import { lessPercent } from '../price';
import { percentWords, type OfferActionWork } from './offer-action';

export const percent: OfferActionWork<'percent'> = {
  words: ({ off }, _money, say) => say('offer.percent', { percent: percentWords(off) }),
  works: 'piece',
  piece: ({ off }, { price }) => lessPercent(price, off),
};
