import { useVirtualizer } from '@tanstack/react-virtual';
import { Plus } from 'lucide-react';
import { useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Link, useMatch, useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { CategoryRow } from '../../../contract/groups';
import { fold as folded } from '../../../core/shared/fold';
import { goodsAddress } from '../../shared/goods-address';
import { Button } from '../../shared/ui/button';
import { DeleteCategory } from './delete-category';
import { NameLine } from './name-line';
import { useAdding, type Adding } from './use-adding';
import { useCategoryWrites } from '../../data/groups';
import { destinationOf, dropOn, shownRows, type Move, type Zone } from '../../../core/groups/tree-moves';
import { TreeRow } from './tree-row';

interface Props {
  categories: readonly CategoryRow[];
  uncategorised: number;
}

/** From so many categories on the lower branches begin folded, and there is a field to find one. */
const MANY = 60;

const moveKeys: Record<string, Move> = { ArrowUp: 'up', ArrowDown: 'down', ArrowLeft: 'out', ArrowRight: 'in' };

type Line = { row: CategoryRow } | { adding: Adding };

/** The category tree: typed into in place, dragged, or moved with Alt and the arrow keys; only rows in view are drawn. */
export function CategoryTree({ categories, uncategorised }: Props) {
  const { create, move, rename, add } = useCategoryWrites();
  const { adding, begin, keep, shift, stop } = useAdding(categories, create.mutateAsync);
  const navigate = useNavigate();
  const openId = useMatch('/groups/category/:id')?.params.id;
  const [renaming, setRenaming] = useState<string | null>(null);
  const [deleting, setDeleting] = useState<CategoryRow | null>(null);
  const [wanted, setWanted] = useState('');
  /** branches that are not as they begin */
  const [turned, setTurned] = useState<ReadonlySet<string>>(new Set());
  const areMany = categories.length > MANY;
  const parents = useMemo(() => new Set(categories.map(({ parentId }) => parentId)), [categories]);
  const isFolded = (id: string) => areMany !== turned.has(id);
  const words = folded(wanted).trim();
  const rows = shownRows(categories, isFolded, words === '' ? undefined : (name) => folded(name).includes(words));
  const lines: Line[] = rows.map((row) => ({ row }));
  if (adding) {
    const above = rows.findIndex(({ id }) => id === adding.shownAfter);
    lines.splice(above < 0 ? lines.length : above + 1, 0, { adding });
  }
  const unseen = categories.filter(({ ways, shownStatus }) => ways.length === 0 && shownStatus !== 'off');

  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 27,
    overscan: 12,
  });
  const focus = (id: string) => scroller.current?.querySelector<HTMLElement>(`[data-category="${id}"]`)?.focus();
  const step = (from: CategoryRow, by: number) => {
    const at = rows.indexOf(from) + by;
    if (!rows[at]) return;
    virtual.scrollToIndex(at);
    focus(rows[at].id);
  };
  const turn = (id: string) =>
    setTurned((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const go = (row: CategoryRow, way: Move) => {
    const to = destinationOf(categories, row, way);
    if (!to) return;
    move.mutate({ id: row.id, to });
    setTimeout(() => focus(row.id));
  };
  const onKeyDown = (event: KeyboardEvent, row: CategoryRow) => {
    const hasBelow = parents.has(row.id);
    if (event.altKey && moveKeys[event.key]) go(row, moveKeys[event.key]!);
    else if (event.key === 'ArrowDown') step(row, 1);
    else if (event.key === 'ArrowUp') step(row, -1);
    else if (event.key === 'ArrowRight' && hasBelow && isFolded(row.id)) turn(row.id);
    else if (event.key === 'ArrowLeft' && hasBelow && !isFolded(row.id)) turn(row.id);
    else if (event.key === 'F2') setRenaming(row.id);
    else if (event.key === 'Delete') setDeleting(row);
    else if (event.key === 'Insert') begin(row);
    else return;
    event.preventDefault();
  };
  const dropCategory = (id: string, onto: CategoryRow, zone: Zone) => {
    const to = dropOn(categories, id, onto, zone);
    if (to) move.mutate({ id, to });
    else if (id !== onto.id) toast.error('A category cannot move into itself.');
  };

  return (
    <aside
      aria-label="Categories"
      className="flex min-h-0 w-[230px] shrink-0 flex-col border-r border-line max-md:w-full max-md:flex-1 max-md:border-0"
    >
      <div className="flex items-center justify-between px-3.5 pt-3 pb-1">
        <h2 className="font-display text-[15px] font-bold">Categories</h2>
        <Button
          look="bare"
          onClick={() => begin(null)}
          aria-label="Add a category"
          title="Add a category: Enter adds the next, Tab puts it one level in"
        >
          <Plus size={14} aria-hidden="true" />
        </Button>
      </div>
      {areMany && (
        <input
          type="search"
          aria-label="Find a category"
          placeholder="Find a category"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          className="field mx-3 mb-1 !w-auto"
        />
      )}
      <div ref={scroller} className="min-h-0 flex-1 overflow-y-auto px-2">
        {categories.length === 0 && !adding && (
          <p className="px-1.5 py-2 text-ink-2">No categories yet. They are the shop’s own order, and its menu.</p>
        )}
        <ul className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map((item) => {
            const line = lines[item.index]!;
            const row = 'row' in line ? line.row : undefined;
            return (
              <li
                key={row?.id ?? `new ${adding?.name ?? ''}`}
                className="absolute inset-x-0 top-0 h-[27px]"
                style={{ transform: `translateY(${item.start}px)` }}
              >
                {'adding' in line ? (
                  <div style={{ paddingLeft: line.adding.parents.length * 13 }}>
                    <NameLine
                      isNew
                      initial={line.adding.name}
                      label="Name of the new category"
                      placeholder="Name, then Enter"
                      keep={(name, goesOn) => keep(name, goesOn, line.adding)}
                      stop={stop}
                      shift={shift}
                    />
                  </div>
                ) : renaming === row!.id ? (
                  <NameLine
                    initial={row!.name}
                    label={`New name of ${row!.name}`}
                    keep={(name, byEnter) => {
                      rename.mutate({ id: row!.id, name });
                      setRenaming(null);
                      if (byEnter) setTimeout(() => focus(row!.id));
                    }}
                    stop={() => {
                      setRenaming(null);
                      setTimeout(() => focus(row!.id));
                    }}
                  />
                ) : (
                  <TreeRow
                    row={row!}
                    isOpen={row!.id === openId}
                    hasBelow={parents.has(row!.id)}
                    isFolded={isFolded(row!.id) && words === ''}
                    fold={() => turn(row!.id)}
                    onKeyDown={(event) => onKeyDown(event, row!)}
                    rename={() => setRenaming(row!.id)}
                    takeGoods={(ids) =>
                      add.mutate(
                        { id: row!.id, ids },
                        { onSuccess: ({ added }) => void toast(`${added} put into “${row!.name}”`) },
                      )
                    }
                    takeCategory={(id, zone) => dropCategory(id, row!, zone)}
                  />
                )}
              </li>
            );
          })}
        </ul>
      </div>
      {(uncategorised > 0 || unseen.length > 0) && (
        <div className="border-t border-hair px-3.5 py-2.5">
          {uncategorised > 0 && (
            <Link
              to={goodsAddress({ field: 'category', is: 'empty', value: null })}
              className="flex justify-between font-semibold text-rose hover:underline"
            >
              Not in any category <span>{uncategorised}</span>
            </Link>
          )}
          {unseen.length > 0 && (
            <p className="mt-1 line-clamp-3 text-xs text-ink-2">
              Not in a menu:{' '}
              {unseen.slice(0, 12).map(({ id, name }, i) => (
                <span key={id}>
                  {i > 0 && ', '}
                  <Link to={`/groups/category/${id}`} className="hover:underline">
                    {name}
                  </Link>
                </span>
              ))}
              {unseen.length > 12 && ` and ${unseen.length - 12} more`}
            </p>
          )}
        </div>
      )}
      {deleting && (
        <DeleteCategory
          row={deleting}
          categories={categories}
          close={(isGone) => {
            setDeleting(null);
            if (isGone && deleting.id === openId) void navigate('/groups');
          }}
        />
      )}
    </aside>
  );
}
