import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { Pin, PinOff, X } from 'lucide-react';
import { Link } from 'react-router';
import type { GoodsRow } from '../../contract/goods';
import { formatMoney } from '../../core/catalog/money';
import { useDragSensors } from '../ui/drag';
import { Thumb } from '../ui/thumb';

interface Props {
  goods: readonly GoodsRow[];
  currency: string;
  /** the goods in their new order, and which one was moved; absent where the order is not by hand */
  reorder?: (ids: string[], moved: string) => void;
  remove?: (id: string) => void;
  /** said of what `remove` does */
  removeWords?: string;
  pins?: readonly string[];
  togglePin?: (id: string) => void;
  /** several rows instead of one that is cut off */
  wraps?: boolean;
}

interface GoodProps extends Omit<Props, 'goods' | 'reorder' | 'wraps'> {
  row: GoodsRow;
  isMovable: boolean;
}

const corner =
  'absolute -top-1 rounded-full bg-ink p-0.5 text-sheet opacity-0 focus-visible:opacity-100 group-hover:opacity-100';

function Good({ row, currency, isMovable, remove, removeWords = 'Take out', pins = [], togglePin }: GoodProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: row.id,
    disabled: !isMovable,
  });
  const isOut = row.life === 'soldOut';
  const isHidden = row.life !== 'live' && row.life !== 'changed' && !isOut;
  const isPinned = pins.includes(row.id);
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={clsx('group relative w-[62px] shrink-0', isDragging && 'z-10')}
    >
      <div
        {...(isMovable ? { ...attributes, ...listeners } : {})}
        title={row.title}
        className={clsx(isMovable && 'cursor-grab touch-none')}
      >
        <Thumb
          src={row.thumbnail}
          alt={row.title}
          frame={row.frame}
          className={clsx('h-[62px] w-full', (isOut || isHidden) && 'opacity-45', isPinned && 'ring-2 ring-slate')}
        />
      </div>
      <Link
        to={`/goods/${row.id}`}
        tabIndex={-1}
        className="block truncate text-center text-xs text-ink-2 hover:underline"
      >
        {isOut ? 'sold out' : isHidden ? 'not shown' : formatMoney(row.price.min, currency)}
      </Link>
      {togglePin && (
        <button
          type="button"
          onClick={() => togglePin(row.id)}
          aria-label={isPinned ? `Let ${row.title} go from the front` : `Pin ${row.title} at the front`}
          title={isPinned ? 'Pinned: let it go' : 'Pin at the front'}
          className={clsx(corner, '-left-1', isPinned && '!opacity-100')}
        >
          {isPinned ? (
            <Pin size={11} aria-hidden="true" className="group-hover:hidden" />
          ) : (
            <Pin size={11} aria-hidden="true" />
          )}
          {isPinned && <PinOff size={11} aria-hidden="true" className="hidden group-hover:block" />}
        </button>
      )}
      {remove && (
        <button
          type="button"
          onClick={() => remove(row.id)}
          aria-label={`${removeWords}: ${row.title}`}
          title={removeWords}
          className={clsx(corner, '-right-1')}
        >
          <X size={11} aria-hidden="true" />
        </button>
      )}
    </li>
  );
}

/** Goods standing on a board, in order; dragged along it, or moved with Space and the arrow keys. */
export function Board({ goods, reorder, wraps = false, ...shared }: Props) {
  const sensors = useDragSensors();
  const ids = goods.map(({ id }) => id);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      reorder?.(arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))), String(active.id));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={ids} strategy={rectSortingStrategy}>
        <ul className={clsx('flex gap-2 px-3 pt-1.5', wraps ? 'flex-wrap gap-y-3' : 'overflow-hidden')}>
          {goods.map((row) => (
            <Good key={row.id} row={row} isMovable={reorder !== undefined} {...shared} />
          ))}
        </ul>
      </SortableContext>
      <div className="mt-1 h-[5px] rounded-b-[9px] bg-board" aria-hidden="true" />
    </DndContext>
  );
}
