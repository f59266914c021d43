import type { RuleField } from '../../../contract/rule-field';
import type { Condition, Operator } from '../../../core/model/rule';

/** What a comparison begins with. */
function firstValue(field: RuleField, is: Operator): Condition['value'] {
  if (field.type === 'yesNo' || is === 'filled' || is === 'empty') return null;
  if (field.type === 'choice') return [];
  if (field.type === 'text') return '';
  if (is === 'between') return [0, 10_000];
  if (is === 'inLast') return 30;
  return field.type === 'money' ? 2_500 : 0;
}

export function newCondition(field: RuleField): Condition {
  const is = field.operators[0]!.key;
  return { field: field.key, is, value: firstValue(field, is) };
}

/** The condition with another comparison; what was typed stays where it still fits. */
export function compared(field: RuleField, condition: Condition, is: Operator): Condition {
  const form = (of: Operator) => (['between', 'inLast', 'filled', 'empty'].includes(of) ? of : 'one');
  const keeps = form(is) === form(condition.is);
  return { ...condition, is, value: keeps ? condition.value : firstValue(field, is) };
}
