import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/react';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { fold } from '../../../core/shared/fold';
import { findField } from './find-field';
import { Thumb } from '../../shared/ui/thumb';
import { useFound } from '../../data/session';

export interface Action {
  words: string;
  run: () => void;
}

interface Props {
  actions: readonly Action[];
  inputId: string;
  typed: string;
  setTyped: (typed: string) => void;
  className: string;
  /** the field was left */
  left: () => void;
}

interface Hit {
  key: string;
  label: string;
  note: string;
  thumbnail?: string | null;
  run: () => void;
}

const addresses = {
  product: (id: string) => `/goods/${id}`,
  category: (id: string) => `/groups/category/${id}`,
  collection: (id: string) => `/groups/${id}`,
  brand: (id: string) => `/groups/brands/${id}`,
  tag: (id: string) => `/groups/tags/${id}`,
  page: (id: string) => `/shopfront?page=${id}`,
};

/** One field that finds goods, groups and pages, and does anything that has a name. */
export default function FindOrDo({ actions, inputId, typed, setTyped, className, left }: Props) {
  const { data } = useFound(typed);
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  // The cursor may stand in the plain field that was here while this was on its way.
  const [hadCursor] = useState(() => document.activeElement?.id === inputId);
  useEffect(() => {
    if (hadCursor) input.current?.focus();
  }, [hadCursor]);
  const wanted = fold(typed).trim();
  const deeds = actions
    .filter(({ words }) => wanted === '' || fold(words).includes(wanted))
    .map(({ words, run }): Hit => ({ key: words, label: words, note: 'do', run }));
  const found = (wanted === '' ? [] : (data?.found ?? [])).map(({ kind, id, label, note, thumbnail }): Hit => ({
    key: `${kind} ${id}`,
    label,
    note,
    thumbnail: kind === 'product' ? thumbnail : undefined,
    run: () => void navigate(addresses[kind](id)),
  }));
  const hits = [...found, ...deeds];
  return (
    <Combobox
      immediate
      value={null}
      onChange={(hit: Hit | null) => {
        hit?.run();
        setTyped('');
        // After the field took the focus back, which would open the list again.
        setTimeout(() => input.current?.blur());
      }}
    >
      <div className={`relative min-w-0 shrink md:w-[230px] ${className}`}>
        <ComboboxInput
          ref={input}
          id={inputId}
          aria-label="Find or do anything"
          placeholder="Find or do anything"
          value={typed}
          autoComplete="off"
          onBlur={left}
          onChange={(event) => setTyped(event.target.value)}
          className={findField}
        />
        <kbd className="pointer-events-none absolute max-[1160px]:hidden right-2 top-1/2 -translate-y-1/2 rounded border border-line px-1.5 text-xs text-ink-2">
          /
        </kbd>
        <ComboboxOptions
          modal={false}
          anchor={{ to: 'bottom end', gap: 6 }}
          className="z-50 max-h-[70vh] w-96 overflow-y-auto rounded-[10px] border border-line bg-sheet p-1.5 shadow-xl"
        >
          {hits.length === 0 && (
            <p className="px-3 py-4 text-ink-2">
              Nothing is called “{typed}”. SKUs, groups and pages are looked through too.
            </p>
          )}
          {hits.map((hit) => (
            <ComboboxOption
              key={hit.key}
              value={hit}
              className="flex items-center gap-3 rounded-md px-2.5 py-1.5 data-focus:bg-marigold-soft"
            >
              {hit.thumbnail !== undefined && <Thumb src={hit.thumbnail} className="size-7" />}
              <span className="truncate font-medium">{hit.label}</span>
              <span className="ml-auto shrink-0 text-xs text-ink-2">{hit.note}</span>
            </ComboboxOption>
          ))}
        </ComboboxOptions>
      </div>
    </Combobox>
  );
}
