import { useState } from 'react';
import { toast } from 'sonner';
import { routes } from '../../../contract';
import { call } from '../../data/api';
import type { WhichInput } from '../../data/bulk';
import { useGroups } from '../../data/groups';
import { useNotMet } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { fold } from '../../../core/shared/fold';
import { tellRefused } from '../../data/tell-refused';
import { useOneAtATime } from '../../shared/ui/use-one-at-a-time';

interface Props {
  which: WhichInput;
  total: number;
  isOpen: boolean;
  close: () => void;
}

/** Puts the goods of the tray into a category or a collection picked by hand, or makes a new one of them. */
export function AddToGroup({ which, total, isOpen, close }: Props) {
  const { data } = useGroups(isOpen);
  const notMet = useNotMet();
  const [typed, setTyped] = useState('');
  const looked = fold(typed).trim();
  /** Ids of the goods, of those too that are in the tray because they match. */
  const wanted = async () => {
    const { ids = [], matching } = which;
    if (!matching) return [...ids];
    return [...new Set([...ids, ...(await call(routes.goods.matching, { body: matching })).ids])];
  };
  const [add] = useOneAtATime((route: typeof routes.groups.addToCategory, id: string, name: string) =>
    wanted()
      .then((ids) => call(route, { params: { id }, body: { ids } }))
      .then(({ added }) => {
        const already = total - added;
        toast(`${added} put into “${name}”${already > 0 ? `; ${already} were in it already` : ''}`);
        close();
      })
      .catch(tellRefused),
  );
  const [make] = useOneAtATime(() =>
    wanted()
      .then((picked) =>
        call(routes.groups.createCollection, { body: { name: typed.trim(), source: 'picked', picked } }),
      )
      .then((shelf) => {
        toast(`Collection “${shelf.name}” made of ${shelf.total} products`);
        setTyped('');
        close();
      })
      .catch(tellRefused),
  );
  const rows = [
    ...(data?.shelves ?? [])
      .filter((shelf) => shelf.source === 'picked')
      .map((shelf) => ({ ...shelf, level: 1, what: 'collection', route: routes.groups.addToCollection })),
    ...(data?.categories ?? []).map((category) => ({
      ...category,
      what: 'category',
      route: routes.groups.addToCategory,
    })),
  ].filter((row) => fold(row.name).includes(looked));
  return (
    <Dialog title={`Add ${total} products to a group`} isOpen={isOpen} close={close}>
      <TextField
        label="Group"
        hideLabel
        placeholder="Find a group, or name a new collection"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        autoFocus
      />
      <ul className="mt-2 max-h-72 overflow-y-auto">
        {rows.map((row) => (
          <li key={row.id}>
            <button
              type="button"
              onClick={() => add(row.route, row.id, row.name)}
              className="flex w-full justify-between gap-4 rounded-md px-2.5 py-1.5 text-left hover:bg-marigold-soft focus-visible:bg-marigold-soft"
              style={{ paddingLeft: row.level * 10 }}
            >
              <span>{row.name}</span>
              <span className="text-ink-2">{[row.what, notMet(row.what, row.id)].filter(Boolean).join(', ')}</span>
            </button>
          </li>
        ))}
      </ul>
      {looked !== '' && (
        <Button className="mt-3" onClick={make}>
          Make a collection “{typed.trim()}” of them
        </Button>
      )}
    </Dialog>
  );
}
