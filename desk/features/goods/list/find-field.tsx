import clsx from 'clsx';
import { Search } from 'lucide-react';
import { useId, useState, type KeyboardEvent } from 'react';
import type { FieldNames } from '../../../../core/rules/field';
import { completions } from '../../../../core/rules/text/query-language';
import type { Narrowing } from './use-narrowing';

/** Searches, and takes conditions in words: "delta, price below 50". Enter makes chips of them. */
export function FindField({ narrowing, fields }: { narrowing: Narrowing; fields: FieldNames }) {
  const { typed, read, type, settle } = narrowing;
  const [isOpen, setOpen] = useState(false);
  const [at, setAt] = useState(-1);
  const listId = useId();
  const from = read.pending?.from ?? typed.lastIndexOf(',') + 1;
  const before = typed.slice(0, from);
  const part = typed.slice(from);
  const offered = part.trim() === '' || read.node ? [] : completions(part, fields);
  const isShown = isOpen && offered.length > 0;
  const take = (text: string) => {
    type(`${before}${before && !text.startsWith(' ') ? ' ' : ''}${text.trimStart()} `);
    setAt(-1);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      if (!isShown) return;
      const step = event.key === 'ArrowDown' ? 1 : -1;
      setAt((at + step + offered.length + 1) % (offered.length + 1));
    } else if (event.key === 'Tab' && isShown && !event.shiftKey) take(offered[Math.max(0, at)]!.text);
    else if (event.key === 'Enter') {
      if (isShown && at >= 0 && at < offered.length) take(offered[at]!.text);
      else settle();
    } else if (event.key === 'Escape' && isShown) setOpen(false);
    else return;
    event.preventDefault();
  };
  return (
    <div className="relative">
      <Search size={14} className="absolute left-2.5 top-1/2 -translate-y-1/2 text-ink-2" aria-hidden="true" />
      <input
        type="search"
        role="combobox"
        aria-label="Search the goods, or type a condition"
        aria-expanded={isShown}
        aria-controls={listId}
        aria-activedescendant={isShown && at >= 0 ? `${listId}-${at}` : undefined}
        autoComplete="off"
        spellCheck={false}
        value={typed}
        placeholder="delta, price below 50 …"
        onFocus={() => setOpen(true)}
        onBlur={() => setOpen(false)}
        onChange={(event) => {
          type(event.target.value);
          setOpen(true);
          setAt(-1);
        }}
        onKeyDown={onKeyDown}
        className={clsx('field !pl-8', typed.length > 22 ? 'w-80' : 'w-52')}
      />
      {isShown && (
        <ul
          id={listId}
          role="listbox"
          aria-label="How it could go on"
          className="sheet absolute left-0 top-full z-40 mt-1 max-h-80 min-w-60 overflow-y-auto p-1"
        >
          {offered.map(({ text, words }, i) => (
            <li
              key={words}
              id={`${listId}-${i}`}
              role="option"
              aria-selected={i === at}
              onPointerDown={(event) => {
                event.preventDefault();
                take(text);
              }}
              className={clsx(
                'cursor-pointer rounded-md px-2.5 py-1.5',
                i === at ? 'bg-marigold-soft' : 'hover:bg-sunk',
              )}
            >
              {words}
            </li>
          ))}
          <li className="border-t border-hair px-2.5 pb-0.5 pt-1.5 text-xs text-ink-2" aria-hidden="true">
            Tab takes it · Enter keeps a condition
          </li>
        </ul>
      )}
      {read.node && (
        <p className="pointer-events-none absolute left-0 top-full z-30 mt-1 rounded-md bg-ink px-2 py-0.5 text-xs text-sheet">
          Enter keeps it
        </p>
      )}
    </div>
  );
}
