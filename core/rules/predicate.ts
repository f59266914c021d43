import { holds } from './condition';
import type { ProductFacts } from './facts';
import type { FieldRegistry } from './field';
import { isCondition, isVariantGroup, type Match, type Rule, type RuleNode } from './rule';

function meets(match: Match, results: readonly boolean[]): boolean {
  if (results.length === 0) return false;
  if (match === 'all') return results.every(Boolean);
  return match === 'any' ? results.some(Boolean) : !results.some(Boolean);
}

/**
 * Does the rule take in a product with these facts at `now` (seconds since 1970)?
 * A group without conditions, and a condition on a field that does not exist, take in nothing.
 * O(conditions × variants).
 */
export function takesIn(rule: Rule, facts: ProductFacts, fields: FieldRegistry, now: number): boolean {
  const test = (node: RuleNode): boolean => {
    if (isCondition(node)) {
      const field = fields.get(node.field);
      return field !== undefined && holds(field, node, field.read(facts), now);
    }
    if (isVariantGroup(node)) {
      if (facts.variants.length === 0 || node.of.length === 0) return false;
      const one = (variant: ProductFacts['variants'][number]) =>
        meets(
          node.match,
          node.of.map((condition) => {
            const field = fields.get(condition.field);
            return field?.readVariant !== undefined && holds(field, condition, field.readVariant(variant), now);
          }),
        );
      return node.variants === 'some' ? facts.variants.some(one) : facts.variants.every(one);
    }
    return meets(node.match, node.of.map(test));
  };
  return test(rule);
}
