import { lessPercent } from '../price';
import { percentWords, type OfferActionWork } from './offer-action';

export const percent: OfferActionWork<'percent'> = {
  words: ({ off }) => `${percentWords(off)} off`,
  works: 'piece',
  piece: ({ off }, { price }) => lessPercent(price, off),
};
