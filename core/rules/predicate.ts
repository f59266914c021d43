import { conditionTest } from './condition';
import type { ProductFacts, VariantFacts } from './facts';
import type { FieldRegistry } from './field';
import { isCondition, isVariantGroup, type Condition, type Match, type Rule, type RuleNode } from '../model/rule';

/** Does it hold for a product with these facts at `now` (seconds since 1970)? */
export type Test = (facts: ProductFacts, now: number) => boolean;
type VariantTest = (facts: VariantFacts, now: number) => boolean;

const never = () => false;

/** One test out of several; a group without any takes in nothing. */
function joined<T>(match: Match, tests: readonly ((facts: T, now: number) => boolean)[]) {
  if (tests.length === 0) return never;
  if (match === 'all') return (facts: T, now: number) => tests.every((test) => test(facts, now));
  if (match === 'any') return (facts: T, now: number) => tests.some((test) => test(facts, now));
  return (facts: T, now: number) => !tests.some((test) => test(facts, now));
}

function testOfCondition(condition: Condition, fields: FieldRegistry): Test {
  const field = fields.get(condition.field);
  if (!field) return never;
  const { has } = field;
  if (has && Array.isArray(condition.value) && (condition.is === 'anyOf' || condition.is === 'noneOf')) {
    const wanted = condition.value.map(String);
    const isWanted = condition.is === 'anyOf';
    return (facts) => wanted.some((value) => has(facts, value)) === isWanted;
  }
  const test = conditionTest(field, condition);
  return (facts, now) => test(field.read(facts), now);
}

function testOfVariant(condition: Condition, fields: FieldRegistry): VariantTest {
  const field = fields.get(condition.field);
  const read = field?.readVariant;
  if (!read) return never;
  const test = conditionTest(field, condition);
  return (variant, now) => test(read(variant), now);
}

function testOfNode(node: RuleNode, fields: FieldRegistry): Test {
  if (isCondition(node)) return testOfCondition(node, fields);
  if (!isVariantGroup(node))
    return joined(
      node.match,
      node.of.map((child) => testOfNode(child, fields)),
    );
  if (node.of.length === 0) return never;
  const one = joined(
    node.match,
    node.of.map((condition) => testOfVariant(condition, fields)),
  );
  return node.variants === 'some'
    ? ({ variants }, now) => variants.some((variant) => one(variant, now))
    : ({ variants }, now) => variants.length > 0 && variants.every((variant) => one(variant, now));
}

/**
 * The rule as a test that can be asked again and again: what it names is looked up once. A group without conditions, and a
 * condition on a field that does not exist, take in nothing. One product costs O(conditions × variants).
 */
export function testOf(rule: Rule, fields: FieldRegistry): Test {
  return testOfNode(rule, fields);
}

/** Does a rule take in a product with these facts at `now` (seconds since 1970)? For many products ask `testOf` once. */
export function takesIn(rule: Rule, facts: ProductFacts, fields: FieldRegistry, now: number): boolean {
  return testOf(rule, fields)(facts, now);
}
