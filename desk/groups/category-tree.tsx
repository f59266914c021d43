import clsx from 'clsx';
import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { useState, type ButtonHTMLAttributes, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { routes } from '../../contract';
import type { CategoryRow } from '../../contract/groups';
import { call, wordsOf } from '../api';
import { goodsWith } from '../goods/goods-address';
import { Button } from '../ui/button';
import { Dialog } from '../ui/dialog';
import { useGoodsDrop } from '../ui/goods-drag';
import { useGroupWrites } from './queries';

interface Props {
  categories: readonly CategoryRow[];
  uncategorised: number;
}

type Move = 'up' | 'down' | 'in' | 'out';

/** Where a move leads: the new parent and the place among its children; undefined when there is nowhere to go. */
function destination(categories: readonly CategoryRow[], row: CategoryRow, move: Move) {
  const siblings = categories.filter((each) => each.parentId === row.parentId);
  const at = siblings.indexOf(row);
  switch (move) {
    case 'up':
      return at > 0 ? { parentId: row.parentId, place: at - 1 } : undefined;
    case 'down':
      return at < siblings.length - 1 ? { parentId: row.parentId, place: at + 1 } : undefined;
    case 'in':
      return at > 0 ? { parentId: siblings[at - 1]!.id } : undefined;
    case 'out': {
      const parent = categories.find((each) => each.id === row.parentId);
      if (!parent) return undefined;
      const aunts = categories.filter((each) => each.parentId === parent.parentId);
      return { parentId: parent.parentId, place: aunts.indexOf(parent) + 1 };
    }
  }
}

const moves: { move: Move; words: string; icon: typeof ArrowUp; key: string }[] = [
  { move: 'up', words: 'Move up', icon: ArrowUp, key: 'ArrowUp' },
  { move: 'down', words: 'Move down', icon: ArrowDown, key: 'ArrowDown' },
  { move: 'out', words: 'Move out of its parent', icon: ArrowLeft, key: 'ArrowLeft' },
  { move: 'in', words: 'Move into the one above', icon: ArrowRight, key: 'ArrowRight' },
];

/** A category that takes goods dropped on it. */
function DropRow({
  drop,
  className,
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { drop: (ids: string[]) => void }) {
  const { isOver, props } = useGoodsDrop(drop);
  return <button type="button" className={clsx(className, isOver && 'bg-petrol-soft')} {...rest} {...props} />;
}

function addGoods(id: string, name: string, ids: string[]): void {
  call(routes.groups.addToCategory, { params: { id }, body: { ids } })
    .then(({ added }) => toast(`${added} put into “${name}”`))
    .catch((error: unknown) => toast.error(wordsOf(error)));
}

function DeleteCategory({ row, parent, close }: { row: CategoryRow; parent?: CategoryRow; close: () => void }) {
  const { deleteCategory } = useGroupWrites();
  const run = (products: 'toParent' | 'leave') => {
    deleteCategory.mutate({ id: row.id, products });
    close();
  };
  return (
    <Dialog title={`Delete “${row.name}”?`} isOpen close={close}>
      <p className="text-ink-2">
        {row.count === 0
          ? 'No product is in it.'
          : `${row.count} ${row.count === 1 ? 'product is' : 'products are'} in it or below it. The products themselves stay.`}{' '}
        Categories below it go too. All of this can be undone.
      </p>
      <div className="mt-5 flex flex-wrap justify-end gap-2">
        <Button onClick={close}>Keep it</Button>
        {parent && row.count > 0 && (
          <Button look="danger" onClick={() => run('toParent')}>
            Delete, products go to “{parent.name}”
          </Button>
        )}
        <Button look="danger" onClick={() => run('leave')}>
          {row.count === 0 ? 'Delete' : 'Delete, products just leave'}
        </Button>
      </div>
    </Dialog>
  );
}

/** A line in which a name is typed; Enter keeps it, Escape does not. */
function NameLine({
  initial,
  label,
  keep,
  stop,
}: {
  initial: string;
  label: string;
  keep: (name: string) => void;
  stop: () => void;
}) {
  const [name, setName] = useState(initial);
  const finish = () => {
    if (name.trim() !== '' && name.trim() !== initial) keep(name.trim());
    stop();
  };
  return (
    <input
      autoFocus
      aria-label={label}
      value={name}
      maxLength={120}
      onChange={(event) => setName(event.target.value)}
      onBlur={finish}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter') finish();
        if (event.key === 'Escape') stop();
      }}
      className="w-full rounded-md border border-marigold bg-sheet px-1.5 py-0.5"
    />
  );
}

/** The category tree: typed into in place, moved with Alt and the arrow keys or the buttons of the chosen row. */
export function CategoryTree({ categories, uncategorised }: Props) {
  const { createCategory, updateCategory } = useGroupWrites();
  const [chosen, setChosen] = useState<string | null>(null);
  const [renaming, setRenaming] = useState<string | null>(null);
  const [adding, setAdding] = useState<string | null | undefined>(undefined);
  const [deleting, setDeleting] = useState<CategoryRow | null>(null);
  const unseen = categories.filter((category) => category.ways.length === 0);
  const run = (row: CategoryRow, move: Move) => {
    const to = destination(categories, row, move);
    if (to) updateCategory.mutate({ id: row.id, ...to });
  };
  const onKeyDown = (event: KeyboardEvent, row: CategoryRow) => {
    const move = event.altKey ? moves.find(({ key }) => key === event.key) : undefined;
    if (move) run(row, move.move);
    else if (event.key === 'F2') setRenaming(row.id);
    else if (event.key === 'Delete') setDeleting(row);
    else return;
    event.preventDefault();
  };
  const addLine = (parentId: string | null) =>
    adding === parentId && (
      <li className="px-2 py-1">
        <NameLine
          initial=""
          label="Name of the new category"
          keep={(name) => createCategory.mutate({ name, parentId })}
          stop={() => setAdding(undefined)}
        />
      </li>
    );
  return (
    <aside
      aria-label="Categories"
      className="relative flex w-[230px] shrink-0 flex-col overflow-y-auto border-r border-line px-2 py-3"
    >
      <div className="mb-1 flex items-center justify-between px-1.5">
        <h2 className="font-display text-[15px] font-bold">Categories</h2>
        <Button look="bare" onClick={() => setAdding(null)} aria-label="Add a top category">
          <Plus size={14} aria-hidden="true" />
        </Button>
      </div>
      <ul>
        {categories.map((row) => {
          const isChosen = row.id === chosen;
          return (
            <li key={row.id} style={{ paddingLeft: (row.level - 1) * 14 }}>
              {renaming === row.id ? (
                <NameLine
                  initial={row.name}
                  label={`New name of ${row.name}`}
                  keep={(name) => updateCategory.mutate({ id: row.id, name })}
                  stop={() => setRenaming(null)}
                />
              ) : (
                <DropRow
                  drop={(ids) => addGoods(row.id, row.name, ids)}
                  aria-pressed={isChosen}
                  onClick={() => setChosen(isChosen ? null : row.id)}
                  onDoubleClick={() => setRenaming(row.id)}
                  onKeyDown={(event) => onKeyDown(event, row)}
                  className={clsx(
                    'flex w-full justify-between gap-2 rounded-md px-1.5 py-1 text-left hover:bg-sunk/70',
                    isChosen && 'bg-marigold-soft font-semibold',
                    row.level === 1 && 'font-medium',
                  )}
                >
                  <span className="truncate">{row.name}</span>
                  <span className="text-ink-2">{row.count}</span>
                </DropRow>
              )}
              {isChosen && (
                <div className="mb-1 rounded-md bg-sheet px-1.5 py-1.5">
                  <div className="flex items-center gap-0.5">
                    {moves.map(({ move, words, icon: Icon }) => (
                      <button
                        key={move}
                        type="button"
                        title={`${words} (Alt + arrow)`}
                        aria-label={words}
                        disabled={!destination(categories, row, move)}
                        onClick={() => run(row, move)}
                        className="rounded p-1 text-ink-2 hover:bg-sunk hover:text-ink disabled:opacity-30"
                      >
                        <Icon size={13} aria-hidden="true" />
                      </button>
                    ))}
                    <button
                      type="button"
                      aria-label={`Delete ${row.name}`}
                      onClick={() => setDeleting(row)}
                      className="ml-auto rounded p-1 text-ink-2 hover:text-rose"
                    >
                      <Trash2 size={13} aria-hidden="true" />
                    </button>
                  </div>
                  <div className="flex flex-wrap gap-x-2.5 gap-y-0.5 pt-1 text-xs">
                    <button type="button" className="text-petrol hover:underline" onClick={() => setRenaming(row.id)}>
                      rename
                    </button>
                    <button type="button" className="text-petrol hover:underline" onClick={() => setAdding(row.id)}>
                      add below
                    </button>
                    <Link to={goodsWith('category', row.id)} className="text-petrol hover:underline">
                      its goods
                    </Link>
                  </div>
                  <p className="pt-1 text-xs text-ink-2">
                    {row.ways.length > 0 ? (
                      `Found by: ${row.ways.join(', ')}`
                    ) : (
                      <span className="text-rose">No way in: not in the menu</span>
                    )}
                  </p>
                </div>
              )}
              {adding === row.id && <ul className="pl-3">{addLine(row.id)}</ul>}
            </li>
          );
        })}
        {addLine(null)}
      </ul>
      {uncategorised > 0 && <p className="px-1.5 pt-2 font-semibold text-rose">Not in any category: {uncategorised}</p>}
      {unseen.length > 0 && (
        <p className="px-1.5 pt-3 text-xs text-ink-2">
          Not in a menu: {unseen.map((category) => category.name).join(', ')}
        </p>
      )}
      {deleting && (
        <DeleteCategory
          row={deleting}
          parent={categories.find(({ id }) => id === deleting.parentId)}
          close={() => setDeleting(null)}
        />
      )}
    </aside>
  );
}
