import type { Rule, RuleNode } from '../../core/rules/rule';

/** Address of the goods list, narrowed to what meets these. */
export function goodsAddress(...nodes: RuleNode[]): string {
  const rule: Rule = { match: 'all', of: nodes };
  return `/goods?if=${encodeURIComponent(JSON.stringify(rule))}`;
}

/** Address of the goods that have a value of a field, such as a category. */
export const goodsWith = (field: string, value: string) => goodsAddress({ field, is: 'anyOf', value: [value] });
