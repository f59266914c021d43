import type { ProductFacts } from './facts';
import type { FieldRegistry } from './field';
import { takesIn } from './predicate';
import { isCondition, isVariantGroup, type Match, type Rule, type RuleNode } from '../model/rule';
import { actualWords, conditionWords, sentenceOf, valueWords } from './text/sentence';

/** One condition, or group on one variant, that alone keeps a product out. */
export interface Lack {
  /** place in the tree: indexes of `of` from the root down */
  path: number[];
  /** what the product would need: "needs stock above 0 (it is 0)", "must not have tag Night" */
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
    else node.of.forEach((child, i) => gather(child, [...path, i]));
  };
  gather(rule, []);
  /** Whether the rule would pass if the leaf at this place among all leaves were turned. Equal leaves may be one object. */
  const passesTurning = (turned: number | undefined): boolean => {
    let at = 0;
    const passes = (node: RuleNode): boolean => {
      if (isLeaf(node)) return leaves[at]!.isMet !== (at++ === turned);
      const { match, of } = node;
      return meets(match, of.map(passes));
    };
    return passes(rule);
  };
  if (passesTurning(undefined)) return [];
  return leaves.flatMap(({ node, path, isMet }, i) =>
    passesTurning(i) ? [{ path, words: lackWords(node, isMet, facts, fields, currency) }] : [],
  );
}

/** "tag Night" for "tag is Night": what is asked for, as something to have. */
const wanted = (words: string) => words.replace(/ is (?=.)/, ' ');

/** What a product would need, or must not have, for this one leaf to turn; and in brackets what it has. */
function lackWords(
  node: RuleNode,
  isMet: boolean,
  facts: ProductFacts,
  fields: FieldRegistry,
  currency: string,
): string {
  if (!isCondition(node)) {
    const words = sentenceOf({ match: 'all', of: [node] }, fields, currency).replace(/^every product where /, '');
    return isMet ? `must not be so: ${words}` : `needs ${words.replace(/ variant has /, ' variant with ')}`;
  }
  const field = fields.get(node.field);
  if (!field) return `there is no field “${node.field}”`;
  const words = conditionWords(node, fields, currency);
  const label = field.label.toLowerCase();
  if (field.type === 'yesNo') return (node.is === 'yes') === isMet ? `must not be ${label}` : `needs to be ${label}`;
  if (node.is === 'filled' || node.is === 'empty')
    return (node.is === 'filled') === isMet ? `must have no ${label}` : `needs a value for ${label}`;
  const actual = actualWords(field, field.read(facts), currency);
  if (field.type === 'choice' && Array.isArray(node.value)) {
    const named = `${label} ${valueWords(field, node, currency)}`;
    if ((node.is === 'anyOf') === isMet) return `must not have ${named}`;
    return `needs ${named} (it has ${actual === '' ? 'none' : actual})`;
  }
  if (isMet) return `must not be so: ${words}`;
  if (field.type === 'text') return `needs this: ${words}`;
  return `needs ${wanted(words)} (it ${actual === '' ? 'has none' : `is ${actual}`})`;
}
