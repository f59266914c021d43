import { X } from 'lucide-react';
import type { RuleField } from '../../../contract/rule-field';
import { plainAmount } from '../../../core/shared/money';
import type { Condition, Operator } from '../../../core/model/rule';
import { Choose } from '../ui/choose';
import { count } from '../ui/count';
import { MeasureField } from '../ui/measure-field';
import { readNumber } from './read-number';

/** A number of the rule as it is typed: money in major units, days as a date. */
function NumberValue({
  field,
  is,
  value,
  change,
}: {
  field: RuleField;
  is: Operator;
  value: number;
  change: (value: number) => void;
}) {
  const isMoney = field.type === 'money';
  const isDate = field.type === 'date' && is !== 'inLast';
  const parts = field.unit?.parts ?? 1;
  const shown = isMoney
    ? plainAmount(value)
    : isDate
      ? new Date(value * 1000).toISOString().slice(0, 10)
      : String(value / parts);
  return (
    <MeasureField
      key={is}
      label={`Value of ${field.label}`}
      hideLabel
      type={isDate ? 'date' : 'text'}
      selects={!isDate}
      shown={shown}
      read={(typed) => readNumber(typed, is === 'inLast' ? 'number' : field.type, parts)}
      change={(next) => change(next as number)}
      className={`!px-2 !py-1 ${isDate ? '!w-36' : '!w-20'}`}
    />
  );
}

function ChosenValues({
  field,
  chosen,
  change,
}: {
  field: RuleField;
  chosen: string[];
  change: (ids: string[]) => void;
}) {
  return (
    <span className="flex flex-wrap items-center gap-1.5">
      {chosen.map((id) => {
        const label = field.choices.find((choice) => choice.value === id)?.label;
        return (
          <span
            key={id}
            className={`flex items-center gap-1 rounded-lg border px-2 py-0.5 ${label ? 'border-line bg-sheet' : 'border-rose bg-rose-soft text-rose-ink'}`}
          >
            {label ?? 'deleted'}
            <button
              type="button"
              aria-label={`Remove ${label ?? 'the deleted value'}`}
              onClick={() => change(chosen.filter((each) => each !== id))}
            >
              <X size={11} aria-hidden="true" />
            </button>
          </span>
        );
      })}
      <Choose
        label={`Value of ${field.label}`}
        placeholder={chosen.length > 0 ? 'or …' : 'choose'}
        choices={field.choices
          .filter((choice) => !chosen.includes(choice.value))
          .map(({ value, label, count: has }) => ({ value, label, note: has === null ? undefined : count(has) }))}
        choose={(id) => change([...chosen, id])}
        className="w-24"
      />
    </span>
  );
}

interface Props {
  field: RuleField;
  condition: Condition;
  change: (value: Condition['value']) => void;
}

/** What a condition compares with, in the form that its field and comparison need. */
export function ConditionValue({ field, condition, change }: Props) {
  const { value, is } = condition;
  if (field.type === 'yesNo' || is === 'filled' || is === 'empty') return null;
  if (field.type === 'choice')
    return <ChosenValues field={field} chosen={Array.isArray(value) ? value.map(String) : []} change={change} />;
  if (field.type === 'text')
    return (
      <input
        aria-label={`Value of ${field.label}`}
        value={String(value ?? '')}
        onChange={(event) => change(event.target.value)}
        className="w-32 rounded-lg border border-line bg-sheet px-2 py-1"
      />
    );
  if (is === 'between' && Array.isArray(value)) {
    const [low, high] = value as [number, number];
    return (
      <span className="flex items-center gap-1.5">
        <NumberValue field={field} is={is} value={low} change={(next) => change([next, high])} /> and
        <NumberValue field={field} is={is} value={high} change={(next) => change([low, next])} />
      </span>
    );
  }
  return (
    <span className="flex items-center gap-1.5">
      <NumberValue field={field} is={is} value={typeof value === 'number' ? value : 0} change={change} />
      {is === 'inLast' ? 'days' : field.unit?.words}
    </span>
  );
}
