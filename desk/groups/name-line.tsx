import { useState, type KeyboardEvent } from 'react';

interface Props {
  initial?: string;
  label: string;
  placeholder?: string;
  /** keeps what was typed; `goesOn`: by Enter, so that another one may follow */
  keep: (name: string, goesOn: boolean) => void;
  stop: () => void;
  /** Tab and Shift+Tab, where they mean something */
  shift?: (way: 'in' | 'out') => void;
}

/** A line in which a name is typed; Enter keeps it, Escape does not. */
export function NameLine({ initial = '', label, placeholder, keep, stop, shift }: Props) {
  const [name, setName] = useState(initial);
  const take = (goesOn: boolean) => {
    const typed = name.trim();
    if (typed === '' || typed === initial) return stop();
    keep(typed, goesOn);
    setName('');
  };
  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === 'Enter') take(true);
    else if (event.key === 'Escape') stop();
    else if (event.key === 'Tab' && shift) {
      event.preventDefault();
      shift(event.shiftKey ? 'out' : 'in');
    }
  };
  return (
    <input
      autoFocus
      aria-label={label}
      placeholder={placeholder}
      value={name}
      maxLength={120}
      onChange={(event) => setName(event.target.value)}
      onBlur={() => take(false)}
      onKeyDown={onKeyDown}
      className="w-full rounded-md border border-marigold bg-sheet px-1.5 py-0.5"
    />
  );
}
