import { useRef, useState, type KeyboardEvent } from 'react';
import { useUnsaved } from '../../shared/autosave/unsaved';

interface Props {
  initial?: string;
  /** what it begins with is not saved yet */
  isNew?: boolean;
  label: string;
  placeholder?: string;
  /** keeps what was typed; `goesOn`: by Enter, so that another one may follow */
  keep: (name: string, goesOn: boolean) => void;
  stop: () => void;
  /** Tab and Shift+Tab, where they mean something */
  shift?: (way: 'in' | 'out') => void;
}

/** A line in which a name is typed; Enter keeps it, Escape does not. */
export function NameLine({ initial = '', isNew = false, label, placeholder, keep, stop, shift }: Props) {
  const [name, setName] = useState(initial);
  const tellUnsaved = useUnsaved();
  // Leaving by Escape takes the line away, which leaves it once more.
  const isOver = useRef(false);
  const take = (goesOn: boolean) => {
    if (isOver.current) return;
    tellUnsaved(null);
    const typed = name.trim();
    if (typed === '' || (typed === initial && !isNew)) {
      isOver.current = true;
      return stop();
    }
    isOver.current = !goesOn;
    keep(typed, goesOn);
    setName('');
  };
  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === 'Enter') take(true);
    else if (event.key === 'Escape') {
      isOver.current = true;
      tellUnsaved(null);
      stop();
    } else if (event.key === 'Tab' && shift) {
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
      onChange={(event) => {
        setName(event.target.value);
        tellUnsaved({ problems: [], isOnItsWay: true });
      }}
      onBlur={() => take(false)}
      onKeyDown={onKeyDown}
      className="w-full rounded-md border border-marigold bg-sheet px-1.5 py-0.5"
    />
  );
}
