import { Plus, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button } from '../../../shared/ui/button';
import { SortableRows } from '../../../shared/ui/sortable-rows';

interface Props<T> {
  entries: readonly T[];
  change: (entries: T[]) => void;
  /** what one is called, such as "quote" */
  one: string;
  most: number;
  fewest?: number;
  fresh?: () => T;
  draw: (entry: T, change: (entry: T) => void, at: number) => ReactNode;
}

/** A list that is part of a section: put in order, added to, taken from. */
export function Entries<T>({ entries, change, one, most, fewest = 0, fresh, draw }: Props<T>) {
  const rows = entries.map((entry, at) => ({ entry, at }));
  return (
    <div className="flex flex-col gap-2">
      <SortableRows
        items={rows}
        keyOf={({ at }) => String(at)}
        reorder={(next) => change(next.map(({ entry }) => entry))}
        className="flex flex-col gap-2"
        draw={({ entry, at }, grip) => (
          <div className="rounded-lg border border-hair bg-sheet p-2">
            <div className="mb-1 flex items-center justify-between text-xs text-ink-2">
              <span className="flex items-center gap-1">
                {grip} {one} {at + 1}
              </span>
              {entries.length > fewest && (
                <button
                  type="button"
                  aria-label={`Remove ${one} ${at + 1}`}
                  onClick={() => change(entries.filter((_, i) => i !== at))}
                  className="rounded p-1 hover:text-rose"
                >
                  <X size={13} aria-hidden="true" />
                </button>
              )}
            </div>
            {draw(entry, (next) => change(entries.map((each, i) => (i === at ? next : each))), at)}
          </div>
        )}
      />
      {fresh && entries.length < most && (
        <Button look="bare" className="self-start" onClick={() => change([...entries, fresh()])}>
          <Plus size={13} aria-hidden="true" /> Add a {one}
        </Button>
      )}
    </div>
  );
}
