import { Bitset } from '../finder/bitset';
import type { FinderIndex } from '../finder/finder-index';
import { spanOf, textTest, type Span } from './condition';
import { WORDLESS, type Field, type FieldRegistry } from './field';
import { isCondition, isVariantGroup, type Condition, type Match, type Rule, type RuleNode } from './rule';

/** Columns hold whole numbers (or Infinity), so an open end is a closed one at the next whole number. */
export function closedSpan({ low, high, lowOpen, highOpen }: Span): { low: number; high: number } {
  return { low: lowOpen ? Math.floor(low) + 1 : low, high: highOpen ? Math.ceil(high) - 1 : high };
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

/** Of `among`, products or variants, those for which a condition on a field holds. */
function conditionSet(
  index: FinderIndex,
  field: Field,
  condition: Condition,
  now: number,
  onVariant: boolean,
  among: Bitset,
): Bitset {
  if (condition.is === 'filled') return filledSet(index, field, onVariant).and(among);
  if (condition.is === 'empty')
    return field.type === 'yesNo' ? new Bitset(among.size) : among.clone().andNot(filledSet(index, field, onVariant));
  switch (field.type) {
    case 'choice': {
      const wanted = Array.isArray(condition.value) ? (condition.value as string[]) : [];
      const set = new Bitset(among.size);
      for (const value of wanted) {
        const posting = field.setOf
          ? field.setOf(value)
          : onVariant
            ? index.variantPosting(field.key, value)
            : index.posting(field.key, value);
        if (posting) set.or(posting);
      }
      return condition.is === 'noneOf' ? among.clone().andNot(set) : set.and(among);
    }
    case 'yesNo': {
      const yes = onVariant ? index.variantPosting(field.key, 'yes') : index.posting(field.key, 'yes');
      if (condition.is !== 'yes') return yes ? among.clone().andNot(yes) : among.clone();
      return yes ? among.clone().and(yes) : new Bitset(among.size);
    }
    case 'text':
      return index.whereText(field.key, textTest(condition), among);
    default: {
      const span = spanOf(condition, now);
      if (!span) return new Bitset(among.size);
      const column = onVariant ? index.variantColumn(field.key) : index.column(field.key);
      const { low, high } = closedSpan(span);
      return index.whereNumber(column, low, high, among);
    }
  }
}

/** What a node of a rule is likely to cost: sets that are there already come first, texts and groups last. */
function costOf(node: RuleNode, fields: FieldRegistry): number {
  if (!isCondition(node)) return 3;
  const type = fields.get(node.field)?.type;
  return type === 'text' ? 2 : type === 'choice' || type === 'yesNo' ? 0 : 1;
}

type SetOf<T> = (node: T, among: Bitset) => Bitset;

/**
 * Of `among`, those that meet a group. Where all must hold each part is asked only of those that are left, the cheap parts
 * first: what is dear is then asked of few.
 */
function groupSet<T extends RuleNode>(
  match: Match,
  of: readonly T[],
  fields: FieldRegistry,
  among: Bitset,
  setOf: SetOf<T>,
): Bitset {
  if (of.length === 0) return new Bitset(among.size);
  if (match === 'all') {
    let left = among;
    for (const node of [...of].sort((a, b) => costOf(a, fields) - costOf(b, fields))) left = setOf(node, left);
    return left;
  }
  const some = setOf(of[0]!, among);
  for (const node of of.slice(1)) some.or(setOf(node, among));
  return match === 'none' ? among.clone().andNot(some) : some;
}

function oneSet(
  condition: Condition,
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
  onVariant: boolean,
  among: Bitset,
): Bitset {
  const field = fields.get(condition.field);
  if (!field || (onVariant && !field.readVariant)) return new Bitset(among.size);
  return conditionSet(index, field, condition, now, onVariant, among);
}

/** The variants for which all conditions hold. */
export function variantsWhere(
  conditions: readonly Condition[],
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
): Bitset {
  return groupSet('all', conditions, fields, index.aliveVariants, (condition, among) =>
    oneSet(condition, index, fields, now, true, among),
  );
}

/**
 * The products that a rule takes in at `now` (seconds since 1970), as a set of index slots; of those in `within` when it is
 * given. Agrees with `takesIn` for every product of the index. Each condition costs at most one pass over a bitset or a
 * column, and less where few are left to ask.
 */
export function membersOf(
  rule: Rule,
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
  within = index.alive,
): Bitset {
  const set: SetOf<RuleNode> = (node, among) => {
    if (isCondition(node)) return oneSet(node, index, fields, now, false, among);
    if (!isVariantGroup(node)) return groupSet(node.match, node.of, fields, among, set);
    if (node.of.length === 0) return new Bitset(among.size);
    const variants = groupSet(node.match, node.of, fields, index.aliveVariants, (condition, of) =>
      oneSet(condition, index, fields, now, true, of),
    );
    if (node.variants === 'some') return index.productsOf(variants).and(among);
    const others = index.productsOf(index.aliveVariants.clone().andNot(variants));
    return index.productsOf(index.aliveVariants).andNot(others).and(among);
  };
  return set(rule, within);
}
