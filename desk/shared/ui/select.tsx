import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import type { Choice } from './choose';

interface Props {
  label: string;
  value: string;
  choices: readonly Choice[];
  choose: (value: string) => void;
  className?: string;
}

/** One of a few things. */
export function Select({ label, value, choices, choose, className = '' }: Props) {
  const current = choices.find((choice) => choice.value === value);
  return (
    <Listbox value={value} onChange={choose}>
      <ListboxButton
        aria-label={`${label}: ${current?.label ?? 'not chosen'}`}
        className={`inline-flex items-center justify-between gap-1.5 rounded-lg border border-line bg-sheet px-2.5 py-1 hover:border-ink-3 ${className}`}
      >
        <span className="truncate">{current?.label ?? label}</span>
        <ChevronDown size={13} className="shrink-0 text-ink-2" aria-hidden="true" />
      </ListboxButton>
      <ListboxOptions
        anchor="bottom start"
        className="z-50 max-h-80 min-w-[var(--button-width)] overflow-y-auto rounded-[10px] border border-line bg-sheet p-1 shadow-lg"
      >
        {choices.map((choice) => (
          <ListboxOption
            key={choice.value}
            value={choice.value}
            className="rounded-md px-2.5 py-1.5 data-focus:bg-marigold-soft data-selected:font-semibold"
          >
            {choice.label}
          </ListboxOption>
        ))}
      </ListboxOptions>
    </Listbox>
  );
}
