import {
  closestCenter,
  DndContext,
  pointerWithin,
  type CollisionDetection,
  type DragEndEvent,
  type DragMoveEvent,
} from '@dnd-kit/core';
import { arrayMove, rectSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { Pin, PinOff, X } from 'lucide-react';
import { useRef } from 'react';
import { Link } from 'react-router';
import type { GoodsRow } from '../../../contract/goods';
import { formatMoney } from '../../../core/shared/money';
import { useDragSensors } from '../../shared/ui/drag';
import { carriedGoods } from '../../shared/ui/goods-drag';
import { Thumb } from '../../shared/ui/thumb';

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
  'absolute -top-1.5 grid size-6 place-items-center rounded-full border-[3px] border-sheet bg-ink text-sheet focus-visible:opacity-100 group-hover:opacity-100 max-md:!opacity-100 pointer-fine:opacity-0';

function Good({ row, currency, isMovable, remove, removeWords = 'Take out', pins = [], togglePin }: GoodProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: row.id,
    disabled: !isMovable,
  });
  const isOut = row.shownStatus === 'soldOut';
  const isHidden = row.shownStatus !== 'live' && row.shownStatus !== 'changed' && !isOut;
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
          className={clsx(corner, '-left-1.5', isPinned && '!opacity-100')}
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
          className={clsx(corner, '-right-1.5')}
        >
          <X size={11} aria-hidden="true" />
        </button>
      )}
    </li>
  );
}

/** What is below the pointer; by keyboard, what is nearest. Away from the shelf nothing is, so that nothing moves there. */
const belowPointer: CollisionDetection = (args) =>
  args.pointerCoordinates ? pointerWithin(args) : closestCenter(args);

const pointOf = ({ activatorEvent, delta }: DragMoveEvent) =>
  activatorEvent instanceof PointerEvent
    ? { x: activatorEvent.clientX + delta.x, y: activatorEvent.clientY + delta.y }
    : null;

/**
 * Goods standing on a board, in order; dragged along it, or moved with Space and the arrow keys. Let go over the tray, a
 * category or another shelf they go there; anywhere else nothing happens.
 */
export function Board({ goods, reorder, wraps = false, ...shared }: Props) {
  const sensors = useDragSensors();
  const ids = goods.map(({ id }) => id);
  const board = useRef<HTMLUListElement>(null);
  const onDragMove = (event: DragMoveEvent) => {
    const at = pointOf(event);
    if (at) carriedGoods.move(at.x, at.y, board.current);
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    const id = String(active.id);
    if (carriedGoods.end([id]) || !over || active.id === over.id) return;
    reorder?.(arrayMove(ids, ids.indexOf(id), ids.indexOf(String(over.id))), id);
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={belowPointer}
      onDragStart={carriedGoods.begin}
      onDragMove={onDragMove}
      onDragEnd={onDragEnd}
      onDragCancel={() => carriedGoods.end(null)}
    >
      <SortableContext items={ids} strategy={rectSortingStrategy}>
        <ul ref={board} className={clsx('flex gap-2 px-3 pt-1.5', wraps ? 'flex-wrap gap-y-3' : 'overflow-hidden')}>
          {goods.map((row) => (
            <Good key={row.id} row={row} isMovable={reorder !== undefined} {...shared} />
          ))}
        </ul>
      </SortableContext>
      <div className="mt-1 h-[5px] rounded-b-[9px] bg-board" aria-hidden="true" />
    </DndContext>
  );
}
