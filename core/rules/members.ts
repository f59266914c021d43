import { Bitset } from '../search/bitset';
import type { FinderIndex } from '../search/finder-index';
import { spanOf, textTest, type Span } from './condition';
import { WORDLESS, type Field, type FieldRegistry } from './field';
import {
  isCondition,
  isVariantGroup,
  type Condition,
  type Match,
  type Rule,
  type RuleNode,
  type VariantGroup,
} from '../model/rule';

/** Columns hold whole numbers (or Infinity), so an open end is a closed one at the next whole number. */
export function closedSpan({ low, high, lowOpen, highOpen }: Span): { low: number; high: number } {
  return { low: lowOpen ? Math.floor(low) + 1 : low, high: highOpen ? Math.ceil(high) - 1 : high };
}

/** The products, or variants, that have a value of the field at all. */
function filledSet(index: FinderIndex, field: Field, onVariant: boolean): Bitset {
  const all = onVariant ? index.variants.alive : index.alive;
  switch (field.type) {
    case 'yesNo':
      return new Bitset(all.size);
    case 'text':
      // Where there are none is kept; what they are is read only when somebody asks.
      return index.alive.clone().andNot(index.posting(WORDLESS, field.key) ?? new Bitset(0));
    case 'choice': {
      const set = new Bitset(all.size);
      if (field.setOf) for (const value of field.choices?.keys() ?? []) set.or(field.setOf(value));
      for (const id of index.facet(field.key)?.values.values() ?? []) {
        const { products, variants } = index.facets.values[id]!;
        if (!onVariant) set.or(products);
        else if (variants) set.or(variants);
      }
      return set;
    }
    default:
      return index.whereNumber(
        onVariant ? index.variants.column(field.key) : index.column(field.key),
        -Infinity,
        Infinity,
        all,
      );
  }
}

/** Keeps of `own`, which holds products or variants, those for which a condition on a field holds. */
function narrowByField(
  own: Bitset,
  index: FinderIndex,
  field: Field,
  condition: Condition,
  now: number,
  onVariant: boolean,
): void {
  if (condition.is === 'filled') return void own.and(filledSet(index, field, onVariant));
  if (condition.is === 'empty')
    return void (field.type === 'yesNo' ? own.clear() : own.andNot(filledSet(index, field, onVariant)));
  const posting = (value: string) =>
    field.setOf
      ? field.setOf(value)
      : onVariant
        ? index.variantPosting(field.key, value)
        : index.posting(field.key, value);
  switch (field.type) {
    case 'choice': {
      const wanted = Array.isArray(condition.value) ? (condition.value as string[]) : [];
      const sets = wanted.flatMap((value) => posting(value) ?? []);
      if (condition.is === 'noneOf') for (const set of sets) own.andNot(set);
      else if (sets.length === 1) own.and(sets[0]!);
      else own.and(sets.reduce((some, set) => some.or(set), new Bitset(own.size)));
      return;
    }
    case 'yesNo': {
      const yes = posting('yes');
      if (condition.is !== 'yes') return void (yes && own.andNot(yes));
      return void (yes ? own.and(yes) : own.clear());
    }
    case 'text':
      return void index.keepText(own, field.key, textTest(condition));
    default: {
      const span = spanOf(condition, now);
      if (!span) return void own.clear();
      const column = onVariant ? index.variants.column(field.key) : index.column(field.key);
      const { low, high } = closedSpan(span);
      index.whereNumber(column, low, high, own, own);
    }
  }
}

/** What a node of a rule is likely to cost: sets that are there already come first, texts and groups last. */
function costOf(node: RuleNode, fields: FieldRegistry): number {
  if (!isCondition(node)) return 3;
  const type = fields.get(node.field)?.type;
  return type === 'text' ? 2 : type === 'choice' || type === 'yesNo' ? 0 : 1;
}

type Narrow<T> = (node: T, own: Bitset) => void;

/**
 * Keeps of `own` those that meet a group. Where all must hold each part is asked only of those that are left, the cheap parts
 * first: what is dear is then asked of few, and no further set is made.
 */
function narrowByGroup<T extends RuleNode>(
  own: Bitset,
  match: Match,
  of: readonly T[],
  fields: FieldRegistry,
  narrow: Narrow<T>,
): void {
  if (of.length === 0) return void own.clear();
  if (match === 'all') {
    for (const node of [...of].sort((a, b) => costOf(a, fields) - costOf(b, fields))) narrow(node, own);
    return;
  }
  const some = new Bitset(own.size);
  for (const node of of) {
    const set = own.clone();
    narrow(node, set);
    some.or(set);
  }
  if (match === 'none') own.andNot(some);
  else own.and(some);
}

function narrowByCondition(
  own: Bitset,
  condition: Condition,
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
  onVariant: boolean,
): void {
  const field = fields.get(condition.field);
  if (!field || (onVariant && !field.readVariant)) own.clear();
  else narrowByField(own, index, field, condition, now, onVariant);
}

/** The variants that meet a group of conditions. */
function variantsOf(
  { match, of }: Pick<VariantGroup, 'match' | 'of'>,
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
): Bitset {
  const own = index.variants.alive.clone();
  narrowByGroup(own, match, of, fields, (condition, set) =>
    narrowByCondition(set, condition, index, fields, now, true),
  );
  return own;
}

/** The variants for which all conditions hold. */
export const variantsWhere = (
  conditions: readonly Condition[],
  index: FinderIndex,
  fields: FieldRegistry,
  now: number,
): Bitset => variantsOf({ match: 'all', of: [...conditions] }, index, fields, now);

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
  const narrow: Narrow<RuleNode> = (node, own) => {
    if (isCondition(node)) return narrowByCondition(own, node, index, fields, now, false);
    if (!isVariantGroup(node)) return narrowByGroup(own, node.match, node.of, fields, narrow);
    if (node.of.length === 0) return void own.clear();
    const variants = variantsOf(node, index, fields, now);
    if (node.variants === 'some') return void own.and(index.productsOf(variants));
    const others = index.productsOf(index.variants.alive.clone().andNot(variants));
    own.and(index.productsOf(index.variants.alive)).andNot(others);
  };
  const members = within.clone();
  narrow(rule, members);
  return members;
}
