import { useState } from 'react';
import { fold } from '../../../core/shared/fold';
import { Tick } from './tick';

interface Props {
  /** what is looked for: "Find a column" */
  label: string;
  choices: readonly { key: string; label: string }[];
  has: (key: string) => boolean;
  toggle: (key: string) => void;
}

/** Many things to tick, with a field that finds them. */
export function TickList({ label, choices, has, toggle }: Props) {
  const [typed, setTyped] = useState('');
  const wanted = fold(typed).trim();
  return (
    <>
      <input
        aria-label={label}
        placeholder={label}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        className="field mb-1.5 w-full"
      />
      <div className="max-h-72 overflow-y-auto">
        {choices
          .filter((choice) => fold(choice.label).includes(wanted))
          .map((choice) => (
            <Tick key={choice.key} label={choice.label} checked={has(choice.key)} change={() => toggle(choice.key)} />
          ))}
      </div>
    </>
  );
}
