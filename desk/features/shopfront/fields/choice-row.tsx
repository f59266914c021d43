import { Radio, RadioGroup } from '@headlessui/react';
import clsx from 'clsx';

interface Props<T extends string | number> {
  label: string;
  hideLabel?: boolean;
  value: T;
  choices: readonly { value: T; label: string | number }[];
  choose: (value: T) => void;
}

/** One of a few things, all of them in sight. */
export const ChoiceRow = <T extends string | number>({ label, hideLabel, value, choices, choose }: Props<T>) => (
  <RadioGroup value={value} onChange={choose} aria-label={label} className="flex items-center justify-between gap-2">
    {!hideLabel && (
      <span aria-hidden="true" className="text-ink-2">
        {label}
      </span>
    )}
    <span className="flex flex-wrap justify-end gap-0.5 rounded-lg bg-sunk p-0.5">
      {choices.map((choice) => (
        <Radio
          key={choice.value}
          value={choice.value}
          className={clsx(
            'flex min-h-6 min-w-6 cursor-pointer items-center justify-center rounded-md px-2 py-0.5',
            'data-checked:bg-sheet data-checked:font-semibold data-checked:shadow-sm',
            choice.value !== value && 'text-ink-2 hover:text-ink',
          )}
        >
          {choice.label}
        </Radio>
      ))}
    </span>
  </RadioGroup>
);
