import type { FinderIndex } from '../search/finder-index';
import type { FieldRegistry } from './field';
import type { ProductFacts } from './facts';
import { conditionsOf, type Condition, type Rule } from '../model/rule';

/**
 * Rules that speak of the last days take products in, and let them go, by time alone. What follows says when.
 */
const DAY = 86_400;

const speaks = ({ is, value }: Condition): boolean => is === 'inLast' && typeof value === 'number';

/** The moment after `now` at which "in the last so many days" turns for something of the moment `x`; Infinity for never. */
function endOf(x: number, days: number, now: number): number {
  if (x > now) return x;
  const end = x + days * DAY + 1;
  return end > now ? end : Infinity;
}

/** The conditions of a rule by which it turns as time passes; none for most rules. */
export const conditionsOnTime = (rule: Rule): Condition[] =>
  conditionsOf(rule).flatMap(({ condition }) => (speaks(condition) ? [condition] : []));

/** First moment after `now` at which time alone may change whether these hold for a product with these facts. */
export function nextChangeOf(
  turning: readonly Condition[],
  facts: ProductFacts,
  fields: FieldRegistry,
  now: number,
): number {
  let next = Infinity;
  for (const { field, value } of turning) {
    const x = fields.get(field)?.read(facts);
    if (typeof x === 'number') next = Math.min(next, endOf(x, value as number, now));
  }
  return next;
}

/** The same for all products of the index. One pass over a column for each condition that speaks of days. */
export function nextTurn(
  turning: readonly Condition[],
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
): number {
  let next = Infinity;
  for (const { field, value } of turning) {
    if (!fields.has(field)) continue;
    const column = index.column(field);
    index.alive.forEach((slot) => {
      const at = endOf(column[slot]!, value as number, now);
      if (at < next) next = at;
    });
  }
  return next;
}
