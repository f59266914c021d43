import type { ResolvedShop } from './resolved-shop';

/** What changes a shop: of no interest to those who look at it. */
type Changes = 'take' | 'load' | 'copyFrom';

/** A shop as shoppers of one language meet it: in its main language, or in one that it was translated into. */
export type Shop = Omit<Pick<ResolvedShop, keyof ResolvedShop>, Changes>;
