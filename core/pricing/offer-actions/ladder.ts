import { lessPercent } from '../price';
import { percentWords, type OfferActionWork } from './offer-action';

export const ladder: OfferActionWork<'ladder'> = {
  words: ({ steps }, _money, say) =>
    steps.map(({ from, off }) => say('offer.ladderStep', { percent: percentWords(off), count: from })).join(', '),
  works: 'basket',
  basket: ({ steps }, runs) => {
    const pieces = runs.reduce((sum, { quantity }) => sum + quantity, 0);
    const step = steps.findLast(({ from }) => pieces >= from);
    return runs.map(({ price, quantity }) => (step ? (price - lessPercent(price, step.off)) * quantity : 0));
  },
};
