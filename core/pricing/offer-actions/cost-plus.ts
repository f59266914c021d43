import { percentWords, type OfferActionWork } from './offer-action';

export const costPlus: OfferActionWork<'costPlus'> = {
  words: ({ plus }, _money, say) => say('offer.costPlus', { percent: percentWords(plus) }),
  works: 'piece',
  piece: ({ plus }, { cost, asked }) => (cost === null ? null : asked(Math.round((cost * (10_000 + plus)) / 10_000))),
};
