import type { ProductFacts } from './facts';
import type { FieldRegistry } from './field';
import { takesIn } from './predicate';
import { isCondition, isVariantGroup, type Match, type Rule, type RuleNode } from './rule';
import { actualWords, conditionWords, sentenceOf } from './sentence';

/** One condition, or group on one variant, that alone keeps a product out. */
export interface Lack {
  /** place in the tree: indexes of `of` from the root down */
  path: number[];
  /** what the product has instead of what is asked for: "stock is 0", "tag is Night, and must not be" */
  words: string;
}

function meets(match: Match, results: readonly boolean[]): boolean {
  if (results.length === 0) return false;
  if (match === 'all') return results.every(Boolean);
  return match === 'any' ? results.some(Boolean) : !results.some(Boolean);
}

/**
 * What a product that the rule just does not take in at `now` (seconds since 1970) lacks: each leaf of the rule that, turned
 * by itself, would take the product in. Empty for members, and where more than one leaf would have to turn. O(leaves × rule).
 */
export function lacksOf(rule: Rule, facts: ProductFacts, fields: FieldRegistry, now: number, currency: string): Lack[] {
  const isLeaf = (node: RuleNode) => isCondition(node) || isVariantGroup(node);
  const met = new Map<RuleNode, boolean>();
  const leaves: { node: RuleNode; path: number[] }[] = [];
  const gather = (node: RuleNode, path: number[]) => {
    if (isLeaf(node)) {
      met.set(node, takesIn({ match: 'all', of: [node] }, facts, fields, now));
      leaves.push({ node, path });
    } else (node as Rule).of.forEach((child, i) => gather(child, [...path, i]));
  };
  gather(rule, []);
  const passes = (node: RuleNode, turned: RuleNode | undefined): boolean =>
    isLeaf(node)
      ? met.get(node)! !== (node === turned)
      : meets(
          (node as Rule).match,
          (node as Rule).of.map((child) => passes(child, turned)),
        );
  if (passes(rule, undefined)) return [];
  return leaves
    .filter(({ node }) => passes(rule, node))
    .map(({ node, path }) => ({ path, words: lackWords(node, met.get(node)!, facts, fields, currency) }));
}

function lackWords(
  node: RuleNode,
  isMet: boolean,
  facts: ProductFacts,
  fields: FieldRegistry,
  currency: string,
): string {
  if (!isCondition(node)) {
    const words = sentenceOf({ match: 'all', of: [node] }, fields, currency).replace(/^every product where /, '');
    return isMet ? `${words}, and must not` : `not so: ${words}`;
  }
  const field = fields.get(node.field);
  if (!field) return `there is no field “${node.field}”`;
  if (isMet) return `${conditionWords(node, fields, currency)}, and must not be`;
  const label = field.label.toLowerCase();
  if (field.type === 'yesNo') return field.read(facts) === true ? label : `not ${label}`;
  if (field.type === 'text') return `not so: ${conditionWords(node, fields, currency)}`;
  const actual = actualWords(field, field.read(facts), currency);
  return actual === '' ? `no ${label}` : `${label} is ${actual}`;
}
