import type { FinderIndex } from '../search/finder-index';
import type { ListingQuery } from '../search/listing-query';
import { spanOf } from './condition';
import type { FieldRegistry } from './field';
import { closedSpan, membersOf, variantsWhere } from './members';
import { isCondition, isVariantGroup, type Condition, type Rule, type RuleNode } from '../model/rule';

type Filters = Required<Pick<ListingQuery, 'base' | 'choices' | 'ranges' | 'spans'>> &
  Pick<ListingQuery, 'variantBase'>;

/** Name under which a condition filters; what is counted of this name ignores it. */
export const filterName = (field: string, onVariant: boolean) => (onVariant ? `variant ${field}` : field);

/**
 * A rule as filters of a listing, so that what is counted of a field can ignore what the rule asks of that field: the
 * parts of its outermost group, where all must hold. Nested groups, turned conditions and texts become a plain set. The
 * listing's products are those that the rule takes in at `now` (seconds since 1970); a rule without conditions filters nothing.
 */
export function filtersOf(rule: Rule, index: FinderIndex, fields: FieldRegistry, now: number): Filters {
  const filters: Filters = { base: index.alive.clone(), choices: [], ranges: [], spans: [] };
  if (rule.of.length === 0) return filters;
  const choices: NonNullable<ListingQuery['choices']>[number][] = [];
  const ranges: NonNullable<ListingQuery['ranges']>[number][] = [];
  const spans: NonNullable<ListingQuery['spans']>[number][] = [];
  const names = new Set<string>();
  /** Two filters of one name would both be ignored by what is counted of it: only the first can be one. */
  const isFirst = (name: string) => !names.has(name) && names.add(name) !== undefined;

  /** True when the condition became a filter. */
  const filter = (condition: Condition, onVariant: boolean): boolean => {
    const field = fields.get(condition.field);
    if (!field || field.setOf || (onVariant && !field.readVariant)) return false;
    const name = filterName(field.key, onVariant);
    if (field.type === 'choice') {
      if (condition.is !== 'anyOf' || !Array.isArray(condition.value) || !isFirst(name)) return false;
      choices.push({ facet: field.key, values: condition.value.map(String), onVariant });
      return true;
    }
    const span = field.type === 'yesNo' || field.type === 'text' ? undefined : spanOf(condition, now);
    if (!span || !isFirst(name)) return false;
    const { low: min, high: max } = closedSpan(span);
    if (onVariant) ranges.push({ column: field.key, name, min, max });
    else spans.push({ name, low: field.key, high: field.key, min, max });
    return true;
  };

  let variantGroup = false;
  const rest: RuleNode[] = [];
  for (const node of rule.match === 'all' ? rule.of : [rule]) {
    const isSplit = isVariantGroup(node) && node.variants === 'some' && node.match === 'all' && node.of.length > 0;
    if (isSplit && !variantGroup) {
      variantGroup = true;
      const others = node.of.filter((condition) => !filter(condition, true));
      if (others.length > 0) filters.variantBase = variantsWhere(others, index, fields, now);
    } else if (!isCondition(node) || !filter(node, false)) rest.push(node);
  }
  if (rest.length > 0) filters.base = membersOf({ match: 'all', of: rest }, index, fields, now);
  return { ...filters, choices, ranges, spans };
}
