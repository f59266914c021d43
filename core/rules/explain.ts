import type { Reason } from './answers';
import type { ProductFacts } from './facts';
import type { FieldRegistry } from './field';
import { takesIn } from './predicate';
import { isCondition, isVariantGroup, type Rule, type RuleNode } from '../model/rule';
import { actualWords, conditionWords, sentenceOf } from './text/sentence';

export interface Explanation {
  isIn: boolean;
  /** fewest conditions that would have to turn for the rule to take it in; Infinity when none could */
  missing: number;
  reasons: Reason[];
}

/** Why a rule takes a product in or not at `now` (seconds since 1970), condition by condition. Agrees with `takesIn`. */
export function explain(
  rule: Rule,
  facts: ProductFacts,
  fields: FieldRegistry,
  now: number,
  currency: string,
): Explanation {
  const reasons: Reason[] = [];
  const walk = (node: RuleNode, path: number[], isTurned: boolean): void => {
    if (isCondition(node)) {
      const field = fields.get(node.field);
      reasons.push({
        path,
        words: conditionWords(node, fields, currency),
        holds: takesIn({ match: 'all', of: [node] }, facts, fields, now),
        actual: field ? actualWords(field, field.read(facts), currency) : '',
        isTurned,
      });
    } else if (isVariantGroup(node)) {
      const alone: Rule = { match: 'all', of: [node] };
      reasons.push({
        path,
        words: sentenceOf(alone, fields, currency).replace(/^every product where /, ''),
        holds: takesIn(alone, facts, fields, now),
        actual: '',
        isTurned,
      });
    } else node.of.forEach((child, i) => walk(child, [...path, i], isTurned !== (node.match === 'none')));
  };
  walk(rule, [], false);
  const isMet = (node: RuleNode) => takesIn({ match: 'all', of: [node] }, facts, fields, now);
  return { isIn: takesIn(rule, facts, fields, now), missing: distance(rule, true, isMet), reasons };
}

/** Fewest conditions that would have to turn for `node` to be `wanted`. */
function distance(node: RuleNode, wanted: boolean, isMet: (node: RuleNode) => boolean): number {
  if (isCondition(node) || isVariantGroup(node)) return isMet(node) === wanted ? 0 : 1;
  // A group without conditions takes in nothing, whatever it is called.
  if (node.of.length === 0) return wanted ? Infinity : 0;
  const ofEach = node.match === 'none' ? !wanted : wanted;
  const parts = node.of.map((child) => distance(child, ofEach, isMet));
  const needsAll = (node.match === 'all') === ofEach;
  return needsAll ? parts.reduce((sum, part) => sum + part, 0) : Math.min(...parts);
}
