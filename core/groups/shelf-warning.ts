import type { Collection } from '../model/group';

/** What is odd about how many products stand in a collection, in words; '' where nothing is. */
export function shelfWarning({ source, rule, fewest, most }: Collection, total: number): string {
  if (source === 'rule' && rule.of.length === 0) return 'It has no rule yet, so it takes in nothing.';
  if (fewest !== null && total < fewest) return `Only ${total}: you wanted at least ${fewest}.`;
  if (most !== null && total > most) return `${total} goods: you wanted at most ${most}.`;
  if (total > 0) return '';
  return source === 'rule' ? 'No product meets its rule today.' : 'Nothing on this shelf yet.';
}
