import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { X } from 'lucide-react';
import { Link } from 'react-router';
import type { GoodsRow } from '../../contract/goods';
import { formatMoney } from '../../core/catalog/money';
import { Thumb } from '../ui/thumb';
import { useDragSensors } from '../ui/drag';

interface Props {
  goods: readonly GoodsRow[];
  currency: string;
  /** the goods in their new order; absent where the order is not by hand */
  reorder?: (ids: string[]) => void;
  remove?: (id: string) => void;
  /** several rows instead of one that is cut off */
  wraps?: boolean;
}

function Good({
  row,
  currency,
  isMovable,
  remove,
}: {
  row: GoodsRow;
  currency: string;
  isMovable: boolean;
  remove?: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: row.id,
    disabled: !isMovable,
  });
  const isOut = row.life === 'soldOut';
  const isHidden = row.life === 'draft' || row.life === 'off';
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
          className={clsx('h-[62px] w-full', (isOut || isHidden) && 'opacity-45')}
        />
      </div>
      <Link
        to={`/goods/${row.id}`}
        tabIndex={-1}
        className="block truncate text-center text-xs text-ink-2 hover:underline"
      >
        {isOut ? 'sold out' : isHidden ? 'not shown' : formatMoney(row.price.min, currency)}
      </Link>
      {remove && (
        <button
          type="button"
          onClick={remove}
          aria-label={`Take ${row.title} out`}
          className="absolute -right-1 -top-1 rounded-full bg-ink p-0.5 text-sheet opacity-0 focus-visible:opacity-100 group-hover:opacity-100"
        >
          <X size={11} aria-hidden="true" />
        </button>
      )}
    </li>
  );
}

/** Goods standing on a board, in order; dragged along it, or moved with Space and the arrow keys. */
export function Board({ goods, currency, reorder, remove, wraps = false }: Props) {
  const sensors = useDragSensors();
  const ids = goods.map(({ id }) => id);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      reorder?.(arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={ids} strategy={rectSortingStrategy}>
        <ul className={clsx('flex gap-2 px-3 pt-1.5', wraps ? 'flex-wrap gap-y-3' : 'overflow-hidden')}>
          {goods.map((row) => (
            <Good
              key={row.id}
              row={row}
              currency={currency}
              isMovable={reorder !== undefined}
              remove={remove && (() => remove(row.id))}
            />
          ))}
        </ul>
      </SortableContext>
      <div className="h-[5px] rounded-b-[9px] bg-board" aria-hidden="true" />
    </DndContext>
  );
}
