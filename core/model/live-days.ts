import { declare } from './fields';
import { momentSchema } from './product-values';

const day = { stored: momentSchema, usual: null, audience: 'shoppers', column: 'plain', told: 'moment' } as const;

/** Between these something that is live is on the shop; open where null. */
export const liveDays = declare({
  liveFrom: { ...day, words: 'first day on the shop' },
  liveUntil: { ...day, words: 'last day on the shop' },
});
