import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { routes } from '../../../contract';
import { call } from '../../data/api';
import { tray } from '../../shared/tray-store';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { SortableRows } from '../../shared/ui/sortable-rows';
import { Loading } from '../../shared/ui/states';
import { Thumb } from '../../shared/ui/thumb';
import { useWhich, type WhichInput } from '../../data/bulk';
import { refusalOf } from '../../data/tell-refused';
import { useOneAtATime } from '../../shared/ui/use-one-at-a-time';

const MOST = 100;

/** What the titles differ by: "Wren sled, small" and "Wren sled, large" differ by "small" and "large". */
function differingWords(titles: readonly string[]): string[] {
  const words = titles.map((title) => title.split(/\s+/));
  const isShared = (word: string) => words.every((each) => each.includes(word));
  return words.map((each) =>
    each
      .filter((word) => !isShared(word))
      .join(' ')
      .replace(/^[,–-]\s*|[,–-]$/g, ''),
  );
}

/** Several products become one, with an option that tells them apart. The first in the list is the one that stays. */
export function MergeDialog({ which, close }: { which: WhichInput; close: () => void }) {
  const { data } = useWhich(which, MOST);
  const navigate = useNavigate();
  const [option, setOption] = useState('Size');
  const [order, setOrder] = useState<string[]>();
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const [error, setError] = useState<string>();
  const byId = new Map(data?.rows.map((row) => [row.id, row]));
  const rows = (order ?? data?.rows.map(({ id }) => id) ?? []).flatMap((id) => byId.get(id) ?? []);
  const differing = differingWords(rows.map(({ title }) => title));
  const usual = new Map(rows.map(({ id }, i) => [id, differing[i]!]));
  const values = rows.map(({ id }) => typed[id] ?? usual.get(id)!);
  const [merge, isMerging] = useOneAtATime(() =>
    call(routes.bulk.merge, { body: { ids: rows.map(({ id }) => id), option, values } })
      .then(({ id }) => {
        tray.empty();
        toast(`${rows.length} products are one now`, { description: 'Ctrl + Z takes it back.' });
        close();
        void navigate(`/goods/${id}`);
      })
      .catch((problem: unknown) => setError(refusalOf(problem))),
  );
  if (!data) return <Loading rows={3} />;
  return (
    <Dialog title={`Merge ${rows.length} products into one`} isOpen close={close} width="max-w-xl">
      <p className="mb-3 text-ink-2">
        The first keeps its words and its address; the others become variants of it, with their prices, stock, codes and
        pictures, and their addresses lead to it.
      </p>
      <TextField
        label="The option that tells them apart"
        value={option}
        error={error}
        onChange={(event) => {
          setOption(event.target.value);
          setError(undefined);
        }}
      />
      <SortableRows
        items={rows}
        keyOf={({ id }) => id}
        reorder={(next) => setOrder(next.map(({ id }) => id))}
        className="mt-3 max-h-72 overflow-y-auto"
        draw={(row, grip, i) => (
          <div className="flex items-center gap-2 py-1">
            {grip}
            <Thumb src={row.thumbnail} frame={row.frame} className="size-8" />
            <span className="min-w-0 flex-1 truncate">
              {row.title}
              {i === 0 && <span className="text-ink-2"> – stays</span>}
            </span>
            <input
              aria-label={`Value of ${row.title}`}
              placeholder="value"
              value={values[i]}
              onChange={(event) => setTyped({ ...typed, [row.id]: event.target.value })}
              className="field !w-40"
            />
          </div>
        )}
      />
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={close}>Cancel</Button>
        <Button
          look="main"
          disabled={rows.length < 2 || isMerging || values.some((value) => value.trim() === '')}
          onClick={merge}
        >
          Merge them
        </Button>
      </div>
    </Dialog>
  );
}
