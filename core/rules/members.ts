import { Bitset } from '../finder/bitset';
import type { FinderIndex } from '../finder/finder-index';
import { spanOf, textTest, type Span } from './condition';
import { WORDLESS, type Field, type FieldRegistry } from './field';
import {
  conditionsOf,
  isCondition,
  isVariantGroup,
  type Condition,
  type Match,
  type Rule,
  type RuleNode,
} from './rule';

/** Columns hold whole numbers (or Infinity), so an open end is a closed one at the next whole number. */
export function closedSpan({ low, high, lowOpen, highOpen }: Span): { low: number; high: number } {
  return { low: lowOpen ? Math.floor(low) + 1 : low, high: highOpen ? Math.ceil(high) - 1 : high };
}

function combine(match: Match, sets: Bitset[], all: Bitset): Bitset {
  const first = sets[0];
  if (!first) return new Bitset(all.size);
  for (const set of sets.slice(1)) {
    if (match === 'all') first.and(set);
    else first.or(set);
  }
  return match === 'none' ? all.clone().andNot(first) : first;
}

/** The products, or variants, that have a value of the field at all. */
function filledSet(index: FinderIndex, field: Field, onVariant: boolean): Bitset {
  const all = onVariant ? index.aliveVariants : index.alive;
  switch (field.type) {
    case 'yesNo':
      return new Bitset(all.size);
    case 'text':
      // Where there are none is kept; what they are is read only when somebody asks.
      return index.alive.clone().andNot(index.posting(WORDLESS, field.key) ?? new Bitset(0));
    case 'choice': {
      const set = new Bitset(all.size);
      if (field.setOf) for (const value of field.choices?.keys() ?? []) set.or(field.setOf(value));
      for (const id of index.facet(field.key)?.values() ?? []) {
        const { products, variants } = index.facetValues[id]!;
        if (!onVariant) set.or(products);
        else if (variants) set.or(variants);
      }
      return set;
    }
    default:
      return index.whereNumber(
        onVariant ? index.variantColumn(field.key) : index.column(field.key),
        -Infinity,
        Infinity,
        all,
      );
  }
}

function conditionSet(index: FinderIndex, field: Field, condition: Condition, now: number, onVariant: boolean): Bitset {
  const all = onVariant ? index.aliveVariants : index.alive;
  if (condition.is === 'filled') return filledSet(index, field, onVariant);
  if (condition.is === 'empty')
    return field.type === 'yesNo' ? new Bitset(all.size) : all.clone().andNot(filledSet(index, field, onVariant));
  switch (field.type) {
    case 'choice': {
      const wanted = Array.isArray(condition.value) ? (condition.value as string[]) : [];
      const set = new Bitset(all.size);
      for (const value of wanted) {
        const posting = field.setOf
          ? field.setOf(value)
          : onVariant
            ? index.variantPosting(field.key, value)
            : index.posting(field.key, value);
        if (posting) set.or(posting);
      }
      return condition.is === 'noneOf' ? all.clone().andNot(set) : set;
    }
    case 'yesNo': {
      const yes = onVariant ? index.variantPosting(field.key, 'yes') : index.posting(field.key, 'yes');
      const set = yes ? yes.sized(all.size) : new Bitset(all.size);
      return condition.is === 'yes' ? set : all.clone().andNot(set);
    }
    case 'text': {
      const test = textTest(condition);
      return index.whereText(field.key, test);
    }
    default: {
      const span = spanOf(condition, now);
      if (!span) return new Bitset(all.size);
      const column = onVariant ? index.variantColumn(field.key) : index.column(field.key);
      const { low, high } = closedSpan(span);
      return index.whereNumber(column, low, high, all);
    }
  }
}

function oneSet(
  condition: Condition,
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
  onVariant: boolean,
): Bitset {
  const field = fields.get(condition.field);
  const size = onVariant ? index.aliveVariants.size : index.alive.size;
  if (!field || (onVariant && !field.readVariant)) return new Bitset(size);
  return conditionSet(index, field, condition, now, onVariant);
}

/** The variants for which all conditions hold. */
export function variantsWhere(
  conditions: readonly Condition[],
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
): Bitset {
  const sets = conditions.map((condition) => oneSet(condition, index, fields, now, true));
  return combine('all', sets, index.aliveVariants);
}

/**
 * The products that a rule takes in at `now` (seconds since 1970), as a set of index slots. Agrees with `takesIn` for
 * every product of the index. Each condition costs one pass over a bitset or a column.
 */
export function membersOf(rule: Rule, index: FinderIndex, fields: FieldRegistry, now: number): Bitset {
  const one = (condition: Condition, onVariant: boolean) => oneSet(condition, index, fields, now, onVariant);
  const set = (node: RuleNode): Bitset => {
    if (isCondition(node)) return one(node, false);
    if (isVariantGroup(node)) {
      if (node.of.length === 0) return new Bitset(index.alive.size);
      const variants = combine(
        node.match,
        node.of.map((condition) => one(condition, true)),
        index.aliveVariants,
      );
      if (node.variants === 'some') return index.productsOf(variants);
      const others = index.productsOf(index.aliveVariants.clone().andNot(variants));
      return index.productsOf(index.aliveVariants).andNot(others);
    }
    return combine(node.match, node.of.map(set), index.alive);
  };
  return set(rule);
}

export interface ConditionCount {
  path: number[];
  /** products for which this condition alone holds (of some variant, inside a variant group) */
  count: number;
}

/** How many products of `within` each condition of the rule takes in by itself. */
export function countEach(
  rule: Rule,
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
  within: Bitset,
): ConditionCount[] {
  return conditionsOf(rule).map(({ condition, path, onVariant }) => {
    const alone: Rule = onVariant
      ? { match: 'all', of: [{ variants: 'some', match: 'all', of: [condition] }] }
      : { match: 'all', of: [condition] };
    return { path, count: membersOf(alone, index, fields, now).and(within).count() };
  });
}
