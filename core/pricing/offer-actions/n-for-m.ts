import { dearestFirst, grouped, placesBehind } from './grouped';
import type { OfferActionWork } from './offer-action';

export const nForM: OfferActionWork<'nForM'> = {
  words: ({ take, pay }, _money, say) => say('offer.nForM', { take, pay }),
  works: 'basket',
  basket: ({ take, pay }, runs) => {
    const end = grouped(runs, take);
    const less = runs.map(() => 0);
    for (const { at, first, run } of dearestFirst(runs)) {
      const last = Math.min(end, first + run.quantity);
      if (first < last) less[at] = placesBehind(first, last, take, pay) * run.price;
    }
    return less;
  },
};
