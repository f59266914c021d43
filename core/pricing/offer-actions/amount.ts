import { apportion } from '../../shared/apportion';
import type { OfferActionWork } from './offer-action';

export const amount: OfferActionWork<'amount'> = {
  words: ({ off, per }, money, say) =>
    say(per === 'piece' ? 'offer.amountEach' : 'offer.amountAll', { amount: money(off) }),
  works: 'basket',
  basket: ({ off, per }, runs) => {
    const totals = runs.map(({ price, quantity }) => price * quantity);
    if (per === 'piece') return runs.map(({ price, quantity }) => Math.min(off, price) * quantity);
    const all = totals.reduce((sum, total) => sum + total, 0);
    return apportion(Math.min(off, all), totals);
  },
};
