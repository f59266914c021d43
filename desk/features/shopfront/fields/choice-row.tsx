import clsx from 'clsx';
import type { ReactNode } from 'react';

interface Props<T extends string | number> {
  label: string;
  value: T;
  choices: readonly { value: T; label: ReactNode; title?: string }[];
  choose: (value: T) => void;
}

/** One of a few things, all of them in sight. */
export function ChoiceRow<T extends string | number>({ label, value, choices, choose }: Props<T>) {
  return (
    <div role="radiogroup" aria-label={label} className="flex items-center justify-between gap-2">
      <span className="text-ink-2">{label}</span>
      <span className="flex flex-wrap justify-end gap-0.5 rounded-lg bg-sunk p-0.5">
        {choices.map((choice) => (
          <button
            key={choice.value}
            type="button"
            role="radio"
            aria-checked={choice.value === value}
            title={choice.title}
            onClick={() => choose(choice.value)}
            className={clsx(
              'min-h-6 min-w-6 rounded-md px-2 py-0.5',
              choice.value === value ? 'bg-sheet font-semibold shadow-sm' : 'text-ink-2 hover:text-ink',
            )}
          >
            {choice.label}
          </button>
        ))}
      </span>
    </div>
  );
}
