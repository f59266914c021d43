import { isCondition, type Condition, type Rule, type RuleNode } from '../model/rule';

/**
 * The rule with one value of a choice field replaced by another everywhere it is asked for, as when a tag is merged into
 * another; the same rule when it does not name the value.
 */
export function replaceValue(rule: Rule, field: string, from: string, into: string): Rule {
  const inNode = <T extends RuleNode>(node: T): T => {
    if (isCondition(node)) return inCondition(node) as T;
    const of = node.of as RuleNode[];
    const next = of.map(inNode);
    return next.some((child, i) => child !== of[i]) ? { ...node, of: next } : node;
  };
  const inCondition = (condition: Condition): Condition => {
    const { value } = condition;
    if (condition.field !== field || !Array.isArray(value) || !(value as string[]).includes(from)) return condition;
    return { ...condition, value: [...new Set((value as string[]).map((each) => (each === from ? into : each)))] };
  };
  return inNode(rule);
}
