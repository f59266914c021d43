import { X } from 'lucide-react';
import { type Attribute, type SpecValue } from '../../../core/model/spec-sheet';
import { specWords } from '../../../core/products/spec-values';
import { readMeasure, readRange } from '../../../core/shared/units';
import { Choose } from '../ui/choose';
import { TextField } from '../ui/field';
import { MeasureField } from '../ui/measure-field';

interface FieldProps {
  attribute: Attribute;
  value: SpecValue | undefined;
  change: (value: SpecValue | undefined) => void;
}

const ids = (value: SpecValue | undefined): string[] => (Array.isArray(value) ? value : []);

/** The field of one attribute, in the form of its type. All of them can be filled in by keyboard alone. */
export function SpecField({ attribute, value, change }: FieldProps) {
  const { name, type, unit, choices } = attribute;
  const number = (typed: string, read: (typed: string, unit: string) => { value: SpecValue } | { problem: string }) =>
    typed.trim() === '' ? { value: undefined } : read(typed, unit);
  switch (type) {
    case 'text':
    case 'date':
      return (
        <TextField
          label={name}
          hideLabel
          type={type === 'date' ? 'date' : 'text'}
          value={typeof value === 'string' ? value : ''}
          onChange={(event) => change(event.target.value === '' ? undefined : event.target.value)}
        />
      );
    case 'number':
    case 'range':
      return (
        <MeasureField
          label={name}
          hideLabel
          placeholder={type === 'range' ? `from – to ${unit}`.trim() : unit}
          shown={specWords(attribute, value)}
          read={(typed) => number(typed.replace('\u00a0', ' '), type === 'range' ? readRange : readMeasure)}
          change={(next) => change(next as SpecValue | undefined)}
        />
      );
    case 'yesNo':
    case 'choice': {
      const options =
        type === 'yesNo'
          ? [['yes', 'Yes'] as const, ['no', 'No'] as const]
          : choices.map((each) => [each.id, each.name] as const);
      const shown = type === 'yesNo' ? (value === undefined ? '' : value ? 'yes' : 'no') : (ids(value)[0] ?? '');
      return (
        <select
          aria-label={name}
          value={shown}
          onChange={({ target }) => {
            if (target.value === '') change(undefined);
            else change(type === 'yesNo' ? target.value === 'yes' : [target.value]);
          }}
          className="field"
        >
          <option value="" />
          {options.map(([key, label]) => (
            <option key={key} value={key}>
              {label}
            </option>
          ))}
        </select>
      );
    }
    case 'choices':
      return (
        <div className="flex flex-wrap items-center gap-1.5">
          {choices
            .filter(({ id }) => ids(value).includes(id))
            .map(({ id, name: choice }) => (
              <span key={id} className="flex items-center gap-1 rounded-lg border border-line bg-sheet py-1 pl-2 pr-1">
                {choice}
                <button
                  type="button"
                  aria-label={`Remove ${choice} from ${name}`}
                  onClick={() => {
                    const rest = ids(value).filter((each) => each !== id);
                    change(rest.length ? rest : undefined);
                  }}
                  className="text-ink-2 hover:text-rose"
                >
                  <X size={12} aria-hidden="true" />
                </button>
              </span>
            ))}
          <Choose
            label={name}
            placeholder="add"
            choices={choices
              .filter(({ id }) => !ids(value).includes(id))
              .map(({ id, name: label }) => ({ value: id, label }))}
            choose={(id) => change([...ids(value), id])}
            className="w-28"
          />
        </div>
      );
  }
}
