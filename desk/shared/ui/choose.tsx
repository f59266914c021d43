import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useState } from 'react';
import { fold } from '../../../core/shared/fold';

export interface Choice {
  value: string;
  label: string;
  note?: string;
}

interface Props {
  label: string;
  choices: readonly Choice[];
  choose: (value: string) => void;
  placeholder?: string;
  /** told what is typed, for choices that are looked up */
  onType?: (typed: string) => void;
  /** offers to make what was typed */
  make?: (name: string) => void;
  makeWords?: string;
  className?: string;
}

const NEW = '\u0000new';

/** A field with completion: type, pick with the arrow keys, Enter. Empties itself after each choice. */
export function Choose({
  label,
  choices,
  choose,
  placeholder,
  onType,
  make,
  makeWords = 'Make',
  className = 'w-44',
}: Props) {
  const [typed, setTyped] = useState('');
  const wanted = fold(typed).trim();
  // Choices that are looked up fit already, perhaps but for a slip.
  const found = (onType ? choices : choices.filter((choice) => fold(choice.label).includes(wanted))).slice(0, 60);
  const isNew = make && wanted !== '' && !choices.some((choice) => fold(choice.label) === wanted);
  return (
    <Combobox
      immediate
      value={null}
      onChange={(value: string | null) => {
        if (value === NEW) make?.(typed.trim());
        else if (value !== null) choose(value);
        setTyped('');
      }}
    >
      <div className={`relative ${className}`}>
        <ComboboxInput
          aria-label={label}
          placeholder={placeholder ?? label}
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
            onType?.(event.target.value);
          }}
          onBlur={() => setTyped('')}
          className="w-full rounded-lg border border-dashed border-line bg-transparent px-2.5 py-1 hover:border-ink-3"
        />
        <ComboboxOptions
          modal={false}
          anchor="bottom start"
          className="z-50 max-h-72 min-w-52 overflow-y-auto rounded-[10px] border border-line bg-sheet p-1 shadow-lg empty:invisible"
        >
          {found.map((choice) => (
            <ComboboxOption
              key={choice.value}
              value={choice.value}
              className="flex items-baseline justify-between gap-4 rounded-md px-2.5 py-1.5 data-focus:bg-marigold-soft"
            >
              <span className="truncate">{choice.label}</span>
              {choice.note && <span className="shrink-0 text-xs text-ink-2">{choice.note}</span>}
            </ComboboxOption>
          ))}
          {isNew && (
            <ComboboxOption value={NEW} className="rounded-md px-2.5 py-1.5 data-focus:bg-marigold-soft">
              {makeWords} <strong>“{typed.trim()}”</strong>
            </ComboboxOption>
          )}
        </ComboboxOptions>
      </div>
    </Combobox>
  );
}
