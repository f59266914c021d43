import { canonicalJson } from '../shared/canonical-json';
import { optionOfField } from './field';
import {
  isCondition,
  isVariantGroup,
  type Condition,
  type Rule,
  type RuleNode,
  type VariantGroup,
} from '../model/rule';

/**
 * Steps by which a seller narrows the goods: each answers a new rule. What they add stands in the outermost group, where
 * all must hold. As soon as an option value such as a colour is asked for, it is asked of one variant, and so are price,
 * stock and sale from then on, wherever they were asked before.
 */

/** Fields that are asked of the same variant once an option is. */
const followsOption = (field: string) => ['price', 'stock', 'onSale'].includes(field);

const withAll = (rule: Rule): Rule =>
  rule.match === 'all' ? rule : { match: 'all', of: rule.of.length ? [rule] : [] };

const isOneVariant = (node: RuleNode): node is VariantGroup =>
  isVariantGroup(node) && node.variants === 'some' && node.match === 'all';

/** The group "one variant where" that stands outermost. */
const oneVariant = (rule: Rule) => (rule.match === 'all' ? rule.of.find(isOneVariant) : undefined);

/** Where a condition on this field belongs. */
const belongsToVariant = (rule: Rule, field: string) =>
  optionOfField(field) !== undefined || (followsOption(field) && oneVariant(rule) !== undefined);

/** The conditions among which those on a field are: of the one variant, or of the product. */
function conditionsOn(rule: Rule, field: string): Condition[] {
  const of: readonly RuleNode[] = belongsToVariant(rule, field)
    ? (oneVariant(rule)?.of ?? [])
    : rule.match === 'all'
      ? rule.of
      : [];
  return of.filter((node): node is Condition => isCondition(node) && node.field === field);
}

/** The rule with `next` in the place of the first condition for which `is` holds; without one at the end. */
function put(rule: Rule, is: (condition: Condition) => boolean, next: Condition | undefined): Rule {
  const swap = <T extends RuleNode>(of: readonly T[]): T[] => {
    const at = of.findIndex((node) => isCondition(node) && is(node));
    const kept = of.filter((_, i) => i !== at);
    return next
      ? [...kept.slice(0, at < 0 ? kept.length : at), next as T, ...kept.slice(at < 0 ? kept.length : at)]
      : kept;
  };
  const all = withAll(rule);
  const field = next?.field;
  const group = oneVariant(all);
  const isInGroup = group?.of.some(is) ?? false;
  if (!isInGroup && !(field && belongsToVariant(all, field))) return { match: 'all', of: swap(all.of) };
  // The first option brings what follows it along.
  const moving = group
    ? []
    : all.of.filter((node): node is Condition => isCondition(node) && followsOption(node.field));
  const of = swap([...(group?.of ?? []), ...moving]);
  const rest = all.of.filter((node) => node !== group && !moving.includes(node as Condition));
  const at = group ? all.of.indexOf(group) : rest.length;
  const made: RuleNode[] = of.length > 0 ? [{ variants: 'some', match: 'all', of }] : [];
  return { match: 'all', of: [...rest.slice(0, at), ...made, ...rest.slice(at)] };
}

/** The values of a field that are asked for, and whether they are turned round. */
export function chosenValues(rule: Rule, field: string): { values: readonly string[]; isTurned: boolean } {
  const condition = conditionsOn(rule, field).find(({ is }) => is === 'anyOf' || is === 'noneOf');
  return condition
    ? { values: condition.value as string[], isTurned: condition.is === 'noneOf' }
    : { values: [], isTurned: false };
}

/** Asks for one more value of a field, or no longer for it. */
export function toggleValue(rule: Rule, field: string, value: string): Rule {
  const { values, isTurned } = chosenValues(rule, field);
  const next = values.includes(value) ? values.filter((each) => each !== value) : [...values, value];
  const condition: Condition = { field, is: isTurned ? 'noneOf' : 'anyOf', value: next };
  return put(
    rule,
    (each) => each.field === field && (each.is === 'anyOf' || each.is === 'noneOf'),
    next.length > 0 ? condition : undefined,
  );
}

/** True when a yes/no field is asked for. */
export const isAsked = (rule: Rule, field: string): boolean => conditionsOn(rule, field).some(({ is }) => is === 'yes');

export function toggleYes(rule: Rule, field: string): Rule {
  const next: Condition | undefined = isAsked(rule, field) ? undefined : { field, is: 'yes', value: null };
  return put(rule, (each) => each.field === field && (each.is === 'yes' || each.is === 'no'), next);
}

/** The ends between which a number is asked to lie; open where Infinity. */
export function chosenSpan(rule: Rule, field: string): { low: number; high: number } | undefined {
  const condition = conditionsOn(rule, field).find(({ is }) => ['between', 'atLeast', 'atMost'].includes(is));
  if (!condition) return undefined;
  if (condition.is === 'between') {
    const [low, high] = condition.value as [number, number];
    return { low, high };
  }
  const end = condition.value as number;
  return condition.is === 'atLeast' ? { low: end, high: Infinity } : { low: -Infinity, high: end };
}

/** Asks for a number between two ends, both included; without `span` no longer. */
export function setSpan(rule: Rule, field: string, span: { low: number; high: number } | undefined): Rule {
  const is = (each: Condition) => each.field === field && ['between', 'atLeast', 'atMost'].includes(each.is);
  if (!span || (span.low === -Infinity && span.high === Infinity)) return put(rule, is, undefined);
  const { low, high } = span;
  if (low === -Infinity) return put(rule, is, { field, is: 'atMost', value: high });
  if (high === Infinity) return put(rule, is, { field, is: 'atLeast', value: low });
  return put(rule, is, { field, is: 'between', value: [low, high] });
}

const isSame = (a: RuleNode, b: RuleNode) => canonicalJson(a) === canonicalJson(b);

export const holdsNode = (rule: Rule, node: RuleNode): boolean =>
  rule.match === 'all' && rule.of.some((each) => isSame(each, node));

/** Asks for a whole condition or group, or no longer. */
export function toggleNode(rule: Rule, node: RuleNode): Rule {
  const all = withAll(rule);
  return {
    match: 'all',
    of: holdsNode(all, node) ? all.of.filter((each) => !isSame(each, node)) : [...all.of, node],
  };
}

/** Adds a typed rule: what it asks joins what is asked already. */
export function addNode(rule: Rule, node: RuleNode): Rule {
  const nodes: RuleNode[] = !isCondition(node) && !isVariantGroup(node) && node.match === 'all' ? node.of : [node];
  return nodes.reduce<Rule>((into, each) => {
    if (isCondition(each) && belongsToVariant(into, each.field)) return put(into, () => false, each);
    return holdsNode(into, each) ? into : { match: 'all', of: [...withAll(into).of, each] };
  }, rule);
}

/** The same condition the other way round: takes in exactly what it kept out. */
export function turned(node: RuleNode): RuleNode {
  if (isCondition(node)) {
    const opposite = {
      anyOf: 'noneOf',
      noneOf: 'anyOf',
      yes: 'no',
      no: 'yes',
      filled: 'empty',
      empty: 'filled',
    } as const;
    if (node.is in opposite) return { ...node, is: opposite[node.is as keyof typeof opposite] };
  } else if (!isVariantGroup(node) && node.match === 'none' && node.of.length === 1) return node.of[0]!;
  return { match: 'none', of: [node] };
}

/** The rule with the node at `path` replaced, or taken out together with groups that are empty then. */
export function replaceAt(rule: Rule, path: readonly number[], next: RuleNode | undefined): Rule {
  const walk = (node: RuleNode, [at, ...rest]: readonly number[]): RuleNode | undefined => {
    if (at === undefined || isCondition(node)) return next;
    const children = node.of as readonly RuleNode[];
    const child = walk(children[at]!, rest);
    const of = children.flatMap((each, i) => (i !== at ? [each] : child ? [child] : []));
    return of.length > 0 ? { ...node, of } : undefined;
  };
  return (walk(rule, path) as Rule | undefined) ?? { match: 'all', of: [] };
}

/** True for a condition that asks for nothing yet: no value chosen, no word typed. */
const isUnfinished = ({ is, value }: Condition): boolean =>
  is !== 'yes' &&
  is !== 'no' &&
  is !== 'filled' &&
  is !== 'empty' &&
  (Array.isArray(value) ? value.length === 0 : value === '' || value === null);

/** The rule without conditions that are still being made, and without groups that are empty then. */
export function withoutUnfinished(rule: Rule): Rule {
  const walk = (node: RuleNode): RuleNode | undefined => {
    if (isCondition(node)) return isUnfinished(node) ? undefined : node;
    const of = (node.of as readonly RuleNode[]).flatMap((child) => walk(child) ?? []);
    return of.length > 0 ? { ...node, of } : undefined;
  };
  return (walk(rule) as Rule | undefined) ?? { match: 'all', of: [] };
}
