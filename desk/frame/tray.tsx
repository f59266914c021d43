import { X } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../ui/button';
import { Thumb } from '../ui/thumb';
import { AddToGroup } from './add-to-group';
import { useTrayRows } from './queries';
import { tray, useTray } from './tray-store';

const SHOWN = 9;

/** Goods picked up, along the bottom edge, on every desk. */
export function Tray() {
  const ids = useTray();
  const { data } = useTrayRows(ids);
  const [isAdding, setAdding] = useState(false);
  if (ids.length === 0) return null;
  const rows = data?.rows ?? [];
  return (
    <section
      aria-label="Tray"
      className="flex min-h-[46px] items-center gap-3 bg-ink px-4 py-1.5 text-sheet max-md:flex-wrap"
    >
      <h2 className="font-display font-bold">Tray</h2>
      <ul className="flex">
        {rows.slice(0, SHOWN).map((row) => (
          <li key={row.id} className="group relative -ml-1 first:ml-0">
            <Thumb src={row.thumbnail} alt={row.title} frame={row.frame} className="size-7 border-2 border-ink" />
            <button
              type="button"
              onClick={() => tray.drop([row.id])}
              title={`Take ${row.title} out of the tray`}
              className="absolute inset-0 flex items-center justify-center rounded-lg bg-ink/70 opacity-0 focus-visible:opacity-100 group-hover:opacity-100"
            >
              <X size={14} aria-hidden="true" />
              <span className="sr-only">Take {row.title} out of the tray</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="text-sheet/80">
        {ids.length} {ids.length === 1 ? 'product' : 'products'}, kept while you move between desks
      </p>
      <div className="ml-auto flex items-center gap-2">
        <Button look="dark" onClick={() => setAdding(true)}>
          Add to group…
        </Button>
        <button type="button" onClick={tray.empty} className="px-2 text-sheet/80 hover:text-sheet hover:underline">
          Empty tray
        </button>
      </div>
      <AddToGroup ids={ids} isOpen={isAdding} close={() => setAdding(false)} />
    </section>
  );
}
