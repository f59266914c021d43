import { lessPercent } from '../price';
import { dearestFirst, grouped, placesBehind } from './grouped';
import { percentWords, type OfferActionWork } from './offer-action';

export const oneOf: OfferActionWork<'oneOf'> = {
  words: ({ of, which, off }, _money, say) =>
    off === 10_000
      ? say(`offer.${which}Free`, { count: of })
      : say(`offer.${which}Off`, { count: of, percent: percentWords(off) }),
  works: 'basket',
  basket: ({ of, which, off }, runs) => {
    const end = grouped(runs, of);
    const less = runs.map(() => 0);
    for (const { at, first, run } of dearestFirst(runs)) {
      const last = Math.min(end, first + run.quantity);
      if (first >= last) continue;
      const pieces =
        which === 'cheapest' ? placesBehind(first, last, of, of - 1) : last - first - placesBehind(first, last, of, 1);
      less[at] = pieces * (run.price - lessPercent(run.price, off));
    }
    return less;
  },
};
