import { useState } from 'react';
import { useFound } from '../frame/queries';
import { useTray } from '../frame/tray-store';
import { Button } from '../ui/button';
import { TextField } from '../ui/field';
import { Thumb } from '../ui/thumb';

/** Finds goods by title or SKU, or takes those in the tray, for a list that is picked by hand. */
export function AddGoods({ picked, add }: { picked: readonly string[]; add: (ids: string[]) => void }) {
  const [typed, setTyped] = useState('');
  const { data } = useFound(typed);
  const inTray = useTray().filter((id) => !picked.includes(id));
  const found =
    typed.trim() === '' ? [] : (data?.found ?? []).filter(({ kind, id }) => kind === 'product' && !picked.includes(id));
  return (
    <div className="flex flex-col gap-2">
      <div className="flex items-end gap-2">
        <div className="w-72">
          <TextField
            label="Add goods"
            placeholder="Title or SKU"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        </div>
        {inTray.length > 0 && <Button onClick={() => add(inTray)}>Add {inTray.length} from the tray</Button>}
      </div>
      {found.length > 0 && (
        <ul className="sheet max-w-md p-1">
          {found.map((hit) => (
            <li key={hit.id}>
              <button
                type="button"
                onClick={() => add([hit.id])}
                className="flex w-full items-center gap-3 rounded-md px-2 py-1 text-left hover:bg-marigold-soft"
              >
                <Thumb src={hit.thumbnail} className="size-7" />
                <span className="truncate font-medium">{hit.label}</span>
                <span className="ml-auto text-xs text-ink-2">{hit.note}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
