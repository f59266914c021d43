import { useId } from 'react';

interface Props {
  label: string;
  value: number;
  min: number;
  max: number;
  unit?: string;
  error?: string;
  change: (value: number) => void;
}

/** A whole number in a row of its own; what cannot be is said below it. */
export function NumberRow({ label, value, min, max, unit, error, change }: Props) {
  const id = useId();
  return (
    <div>
      <div className="flex items-center justify-between gap-2">
        <label htmlFor={id} className="text-ink-2">
          {label}
        </label>
        <span className="flex items-center gap-1.5">
          <input
            id={id}
            type="number"
            min={min}
            max={max}
            value={Number.isNaN(value) ? '' : value}
            aria-invalid={error ? true : undefined}
            onChange={(event) => change(event.target.valueAsNumber)}
            className="field !w-16 !py-1"
          />
          {unit && <span className="text-ink-2">{unit}</span>}
        </span>
      </div>
      {error && (
        <p role="alert" className="mt-1 text-rose-ink">
          {error}
        </p>
      )}
    </div>
  );
}
