import type { PlannedState } from '../../data/exchange';

/** What becomes of the rows of a product, in words. */
export const stateWords: Record<
  PlannedState,
  { words: string; look: 'petrol' | 'marigold' | 'rose' | 'sky' | 'outline' }
> = {
  new: { words: 'new', look: 'petrol' },
  changed: { words: 'changed', look: 'marigold' },
  same: { words: 'the same', look: 'outline' },
  refused: { words: 'refused', look: 'rose' },
  deleted: { words: 'deleted', look: 'rose' },
  passed: { words: 'passed over', look: 'outline' },
};
