import type { Rule, RuleNode } from '../../core/model/rule';

/** Address of the goods list, narrowed to what meets these. */
export function goodsAddress(...nodes: RuleNode[]): string {
  const rule: Rule = { match: 'all', of: nodes };
  return `/goods?if=${encodeURIComponent(JSON.stringify(rule))}`;
}

/** Address of the goods that have a value of a field, such as a category. */
export const goodsWith = (field: string, value: string) => goodsAddress({ field, is: 'anyOf', value: [value] });

/** Address of the sheet of goods that a text finds and a rule takes in. */
export function sheetAddress({ text, rule }: { text: string; rule: Rule }): string {
  const params = new URLSearchParams();
  if (text) params.set('q', text);
  if (rule.of.length > 0) params.set('if', JSON.stringify(rule));
  return `/goods/sheet?${params.toString()}`;
}
