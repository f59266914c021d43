import type { RuleProblem } from './answers';
import { LAST_SECOND, MOST_DAYS, spanOf } from './condition';
import { isPlacedField } from './placed-fields';
import { operatorsFor, type FieldRegistry } from './field';
import { conditionsOf, isCondition, type Condition, type Rule, type RuleNode } from '../model/rule';

/**
 * What stops a well-formed rule from meaning what it says: unknown fields, operators that do not suit the field, values
 * that were deleted, empty groups. An empty list means that it can be saved.
 */
export function checkRule(rule: Rule, fields: FieldRegistry): RuleProblem[] {
  const problems: RuleProblem[] = [];
  const groups = (node: RuleNode, path: number[]) => {
    if (isCondition(node)) return;
    if (node.of.length === 0)
      problems.push({
        path,
        message:
          path.length === 0
            ? 'This rule has no conditions yet, so it takes in nothing.'
            : 'This group has no conditions: add one or remove the group.',
      });
    node.of.forEach((child, i) => groups(child, [...path, i]));
  };
  groups(rule, []);
  for (const { condition, path, onVariant } of conditionsOf(rule)) {
    const field = fields.get(condition.field);
    if (!field) {
      const message = isPlacedField(condition.field)
        ? 'What shows goods cannot ask where they show: its answer would change by itself. Narrow the goods by it and pick them by hand.'
        : `There is no field “${condition.field}” any more.`;
      problems.push({ path, message });
      continue;
    }
    if (onVariant && !field.readVariant)
      problems.push({ path, message: `${field.label} belongs to the whole product, not to one variant.` });
    if (!operatorsFor(field).includes(condition.is)) {
      problems.push({ path, message: `${field.label} cannot be compared in this way.` });
      continue;
    }
    if (condition.is === 'filled' || condition.is === 'empty') continue;
    const message = valueProblem(condition, field, spanOf(condition, 0) !== undefined);
    if (message) problems.push({ path, message });
  }
  return problems;
}

function valueProblem(
  { is, value }: Condition,
  field: NonNullable<ReturnType<FieldRegistry['get']>>,
  isSpan: boolean,
): string | undefined {
  switch (field.type) {
    case 'choice': {
      if (!Array.isArray(value) || value.length === 0) return `Choose at least one value for ${field.label}.`;
      const gone = value.filter((id) => !field.choices?.has(String(id)));
      if (gone.length === 1) return `This ${field.label.toLowerCase()} was deleted. Choose another.`;
      return gone.length > 1 ? `${gone.length} of these were deleted. Choose others.` : undefined;
    }
    case 'text':
      return typeof value === 'string' && value.trim() !== ''
        ? undefined
        : `Type the words to look for in ${field.label}.`;
    case 'yesNo':
      return undefined;
    default: {
      if (!isSpan) return `Type a number for ${field.label}.`;
      const lowest = Array.isArray(value) ? Math.min(...(value as number[])) : (value as number);
      if (lowest < 0 && !field.signed) return `${field.label} cannot be below zero.`;
      const highest = Array.isArray(value) ? Math.max(...(value as number[])) : (value as number);
      if (field.type === 'date' && highest > (is === 'inLast' ? MOST_DAYS : LAST_SECOND))
        return 'This day is too far away.';
      if (Array.isArray(value) && (value[0] as number) > (value[1] as number))
        return 'The first number must not be above the second.';
      return undefined;
    }
  }
}
