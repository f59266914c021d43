import { useVirtualizer } from '@tanstack/react-virtual';
import { Hand, ListFilter } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Shelf, ShelfHead } from '../../../contract/groups';
import { fold as folded } from '../../../core/shared/fold';
import { useShopWindow } from '../../shared/window-state';
import { useSettings } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { count } from '../../shared/ui/count';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { Select } from '../../shared/ui/select';
import { Empty } from '../../shared/ui/states';
import { useTitle } from '../../shared/ui/use-title';
import { useKeepOffset } from '../../shared/ui/where-one-was';
import { useRemembered } from '../../shared/ui/use-remembered';
import { GroupTabs } from './group-tabs';
import { useCollectionWrites, useGroups } from '../../data/groups';
import { ShelfCard } from './shelf-card';

type Sort = 'own' | 'name' | 'size' | 'odd';
const sorts: { value: Sort; label: string }[] = [
  { value: 'own', label: 'in their own order' },
  { value: 'name', label: 'by name' },
  { value: 'size', label: 'largest first' },
  { value: 'odd', label: 'needing attention first' },
];

const isOdd = ({ problems, warning, ways }: ShelfHead) => problems.length > 0 || warning !== '' || ways.length === 0;

function arranged(shelves: readonly ShelfHead[], sort: Sort, wanted: string): ShelfHead[] {
  const words = folded(wanted).trim();
  const found = shelves.filter(({ name, sentence }) => folded(`${name} ${sentence}`).includes(words));
  switch (sort) {
    case 'own':
      return found;
    case 'name':
      return found.sort((a, b) => a.name.localeCompare(b.name));
    case 'size':
      return found.sort((a, b) => b.total - a.total);
    case 'odd':
      return found.sort((a, b) => Number(isOdd(b)) - Number(isOdd(a)));
  }
}

function NewCollection({ source, close }: { source: Shelf['source']; close: () => void }) {
  const { create } = useCollectionWrites();
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const navigate = useNavigate();
  return (
    <Dialog
      title={source === 'rule' ? 'New collection, filled by rule' : 'New collection, picked by hand'}
      isOpen
      close={close}
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return setError('A name is needed.');
          create.mutate(
            { name, source },
            {
              onSuccess: (shelf) => {
                close();
                void navigate(`/groups/${shelf.id}`);
              },
            },
          );
        }}
      >
        <TextField
          label="Name"
          autoFocus
          value={name}
          error={error}
          onChange={(event) => setName(event.target.value)}
        />
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={close}>Cancel</Button>
          <Button look="main" type="submit" disabled={create.isPending}>
            Make it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

/** All collections as shelves, one below the other; only those in view are drawn. */
export function Shelves() {
  const { data } = useGroups();
  const { data: settings } = useSettings();
  const { arrange } = useCollectionWrites();
  const [params, setParams] = useSearchParams();
  const [making, setMaking] = useState<Shelf['source'] | null>(null);
  const [foldedIds, setFolded] = useRemembered<string[]>('dispona.shelves.folded', []);
  useShopWindow('/');
  const shelves = useMemo(() => data?.shelves ?? [], [data]);
  const wanted = params.get('q') ?? '';
  const sort = (sorts.find(({ value }) => value === params.get('sort'))?.value ?? 'own') satisfies Sort;
  const rows = useMemo(() => arranged(shelves, sort, wanted), [shelves, sort, wanted]);
  const isFolded = (id: string) => foldedIds.includes(id);
  const scroller = useRef<HTMLDivElement>(null);
  useKeepOffset(scroller, shelves.length > 0);
  useTitle('Groups');
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => (isFolded(rows[i]!.id) ? 66 : 162),
    getItemKey: (i) => rows[i]!.id,
    overscan: 3,
  });
  const set = (name: string, value: string) =>
    setParams(
      (now) => {
        if (value) now.set(name, value);
        else now.delete(name);
        return now;
      },
      { replace: true },
    );
  const areAllFolded = rows.length > 0 && rows.every(({ id }) => isFolded(id));
  const swap = (at: number, by: number) => {
    const ids = rows.map(({ id }) => id);
    [ids[at], ids[at + by]] = [ids[at + by]!, ids[at]!];
    arrange.mutate(ids);
  };
  const isOwn = sort === 'own' && wanted.trim() === '';
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <GroupTabs>
        <Button onClick={() => setMaking('picked')}>
          <Hand size={14} aria-hidden="true" /> Pick by hand
        </Button>
        <Button look="main" onClick={() => setMaking('rule')}>
          <ListFilter size={14} aria-hidden="true" /> Fill by rule
        </Button>
      </GroupTabs>
      {shelves.length > 0 && (
        <div className="flex flex-wrap items-center gap-2 px-4 pb-2">
          <input
            type="search"
            aria-label="Find a shelf"
            placeholder="Find a shelf"
            value={wanted}
            onChange={(event) => set('q', event.target.value)}
            className="field !w-44"
          />
          <Select
            label="Sorted"
            value={sort}
            choices={sorts}
            choose={(value) => set('sort', value === 'own' ? '' : value)}
          />
          <Button look="bare" onClick={() => setFolded(areAllFolded ? [] : rows.map(({ id }) => id))}>
            {areAllFolded ? 'Unfold all' : 'Fold all'}
          </Button>
          <span className="ml-auto text-ink-2">
            {wanted ? `${count(rows.length)} of ${count(shelves.length)}` : count(shelves.length)}{' '}
            {shelves.length === 1 ? 'shelf' : 'shelves'}
          </span>
        </div>
      )}
      <div ref={scroller} className="min-h-0 flex-1 overflow-y-auto px-4 pb-6">
        {data && shelves.length === 0 && (
          <Empty title="No collections yet">
            Pick goods by hand, or say by a rule which goods belong together; then place the collection on a page or in
            the menu.
          </Empty>
        )}
        {shelves.length > 0 && rows.length === 0 && (
          <Empty title="No shelf matches" action={<Button onClick={() => set('q', '')}>Show all</Button>}>
            No collection has these words in its name or its rule.
          </Empty>
        )}
        <div className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map((item) => {
            const head = rows[item.index]!;
            return (
              <div
                key={item.key}
                data-index={item.index}
                ref={virtual.measureElement}
                className="absolute inset-x-0 top-0 pb-2.5"
                style={{ transform: `translateY(${item.start}px)` }}
              >
                <ShelfCard
                  head={head}
                  currency={settings?.currency ?? 'EUR'}
                  isFolded={isFolded(head.id)}
                  fold={() =>
                    setFolded(isFolded(head.id) ? foldedIds.filter((id) => id !== head.id) : [...foldedIds, head.id])
                  }
                  up={isOwn && item.index > 0 ? () => swap(item.index, -1) : undefined}
                  down={isOwn && item.index < rows.length - 1 ? () => swap(item.index, 1) : undefined}
                />
              </div>
            );
          })}
        </div>
      </div>
      {making && <NewCollection source={making} close={() => setMaking(null)} />}
    </div>
  );
}
