import { apportion } from '../../shared/apportion';
import { dearestFirst, grouped } from './grouped';
import type { OfferActionWork } from './offer-action';

export const setPrice: OfferActionWork<'setPrice'> = {
  words: ({ pieces, price }, money, say) => say('offer.setPrice', { count: pieces, price: money(price) }),
  works: 'basket',
  basket: ({ pieces, price }, runs) => {
    const end = grouped(runs, pieces);
    const less = runs.map(() => 0);
    let group: { at: number; price: number }[] = [];
    const close = () => {
      const sum = group.reduce((all, piece) => all + piece.price, 0);
      const parts = apportion(
        Math.max(0, sum - price),
        group.map((piece) => piece.price),
      );
      group.forEach(({ at }, i) => (less[at]! += parts[i]!));
      group = [];
    };
    for (const { at, first, run } of dearestFirst(runs))
      for (let place = first; place < Math.min(end, first + run.quantity); place++) {
        group.push({ at, price: run.price });
        if (group.length === pieces) close();
      }
    return less;
  },
};
