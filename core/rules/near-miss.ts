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
  const leaves: { node: RuleNode; path: number[]; isMet: boolean }[] = [];
  const gather = (node: RuleNode, path: number[]) => {
    if (isLeaf(node)) leaves.push({ node, path, isMet: takesIn({ match: 'all', of: [node] }, facts, fields, now) });
    else (node as Rule).of.forEach((child, i) => gather(child, [...path, i]));
  };
  gather(rule, []);
  /** Whether the rule would pass if the leaf at this place among all leaves were turned. Equal leaves may be one object. */
  const passesTurning = (turned: number | undefined): boolean => {
    let at = 0;
    const passes = (node: RuleNode): boolean => {
      if (isLeaf(node)) return leaves[at]!.isMet !== (at++ === turned);
      const { match, of } = node as Rule;
      return meets(match, of.map(passes));
    };
    return passes(rule);
  };
  if (passesTurning(undefined)) return [];
  return leaves.flatMap(({ node, path, isMet }, i) =>
    passesTurning(i) ? [{ path, words: lackWords(node, isMet, facts, fields, currency) }] : [],
  );
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
