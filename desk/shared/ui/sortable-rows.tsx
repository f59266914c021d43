import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';
import { useDragSensors } from './drag';

interface Props<T> {
  items: readonly T[];
  keyOf: (item: T) => string;
  reorder: (items: T[]) => void;
  /** draws one item; `grip` is what it is dragged by */
  draw: (item: T, grip: ReactNode, index: number) => ReactNode;
  className?: string;
}

function Row({ id, draw }: { id: string; draw: (grip: ReactNode) => ReactNode }) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const grip = (
    <button
      type="button"
      {...attributes}
      {...listeners}
      aria-label="Move: drag, or Space and the arrow keys"
      className="cursor-grab touch-none rounded p-1 text-ink-2 hover:text-ink"
    >
      <GripVertical size={14} aria-hidden="true" />
    </button>
  );
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx(isDragging && 'relative z-10 opacity-90')}
    >
      {draw(grip)}
    </li>
  );
}

/** A list whose rows are put in order by dragging, or with Space and the arrow keys. */
export function SortableRows<T>({ items, keyOf, reorder, draw, className }: Props<T>) {
  const sensors = useDragSensors();
  const ids = items.map(keyOf);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      reorder(arrayMove([...items], ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ul className={className}>
          {items.map((item, index) => (
            <Row key={keyOf(item)} id={keyOf(item)} draw={(grip) => draw(item, grip, index)} />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}
