import { conditionsOf, type Rule } from '../model/rule';

/**
 * Fields that follow from where goods stand, and from what came of it. What places goods cannot ask about them: it would change the
 * answer.
 */
const placedFields = ['places', 'exposure', 'viewed', 'conversion', 'daysLeft'] as const;
export type PlacedField = (typeof placedFields)[number];

export const isPlacedField = (key: string): key is PlacedField => (placedFields as readonly string[]).includes(key);

/** Does a rule ask where goods stand, or what came of it? */
export const asksWhereGoodsStand = (rule: Rule): boolean =>
  conditionsOf(rule).some(({ condition }) => isPlacedField(condition.field));
