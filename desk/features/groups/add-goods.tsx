import { useQuery } from '@tanstack/react-query';
import clsx from 'clsx';
import { useState, type KeyboardEvent } from 'react';
import { routes } from '../../../contract';
import { call } from '../../data/api';
import { useTray } from '../../shared/tray-store';
import { Button } from '../../shared/ui/button';
import { TextField } from '../../shared/ui/field';
import { Thumb } from '../../shared/ui/thumb';

const OFFERED = 20;

/** Finds goods by title or SKU, or takes those in the tray, for a list that is picked by hand. */
export function AddGoods({ picked, add }: { picked: readonly string[]; add: (ids: string[]) => void }) {
  const [typed, setTyped] = useState('');
  const [cursor, setCursor] = useState(0);
  const wanted = typed.trim();
  const { data } = useQuery({
    queryKey: ['goods', 'add', wanted],
    // Those that are on the shelf already are not offered, so that more are asked for than are shown.
    queryFn: ({ signal }) => call(routes.goods.list, { body: { text: wanted, limit: 60, need: 'rows' }, signal }),
    enabled: wanted !== '',
    placeholderData: (before) => before,
  });
  const inTray = useTray().filter((id) => !picked.includes(id));
  const matching = wanted === '' ? [] : (data?.rows ?? []);
  const found = matching.filter(({ id }) => !picked.includes(id)).slice(0, OFFERED);
  const at = Math.min(cursor, found.length - 1);
  const onKeyDown = (event: KeyboardEvent) => {
    const hit = found[at];
    if (event.key === 'ArrowDown') setCursor(Math.min(found.length - 1, at + 1));
    else if (event.key === 'ArrowUp') setCursor(Math.max(0, at - 1));
    else if (event.key === 'Escape' && typed !== '') setTyped('');
    else if (event.key === 'Enter' && hit) add([hit.id]);
    else return;
    event.preventDefault();
  };
  return (
    <div className="flex flex-col gap-2">
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-72">
          <TextField
            label="Add goods"
            placeholder="Title or SKU, then Enter"
            value={typed}
            role="combobox"
            aria-expanded={found.length > 0}
            aria-controls="goods-to-add"
            aria-activedescendant={found[at] ? `add-${found[at].id}` : undefined}
            autoComplete="off"
            onChange={(event) => {
              setTyped(event.target.value);
              setCursor(0);
            }}
            onKeyDown={onKeyDown}
          />
        </div>
        {inTray.length > 0 && <Button onClick={() => add(inTray)}>Add {inTray.length} from the tray</Button>}
      </div>
      {wanted !== '' && data && found.length === 0 && (
        <p role="status" className="text-ink-2">
          {matching.length > 0 ? 'All that has these words is on the shelf already.' : `Nothing found for “${wanted}”.`}
        </p>
      )}
      {found.length > 0 && (
        <ul
          id="goods-to-add"
          role="listbox"
          aria-label="Goods to add"
          className="sheet max-h-80 max-w-md overflow-y-auto p-1"
        >
          {found.map((row, i) => (
            <li key={row.id} id={`add-${row.id}`} role="option" aria-selected={i === at}>
              <button
                type="button"
                tabIndex={-1}
                onClick={() => add([row.id])}
                className={clsx(
                  'flex w-full items-center gap-3 rounded-md px-2 py-1 text-left hover:bg-marigold-soft',
                  i === at && 'bg-marigold-soft',
                )}
              >
                <Thumb src={row.thumbnail} frame={row.frame} className="size-7" />
                <span className="truncate font-medium">{row.title}</span>
                <span className="ml-auto shrink-0 text-xs text-ink-2">{row.brand}</span>
              </button>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
