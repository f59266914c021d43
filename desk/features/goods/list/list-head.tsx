import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core';
import { arrayMove, horizontalListSortingStrategy, SortableContext, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { RuleField } from '../../../../contract/rule-field';
import { useDragSensors } from '../../../shared/ui/drag';
import { gridOf, isRight, listColumns, NARROWEST, type ListColumn } from './columns';

interface Sorting {
  sort: string;
  sortBy: (sort: string) => void;
}

/** Numbers sort from the highest first, words from A; the third time as usual. */
function nextSort(sort: string, key: string, isNumber: boolean): string {
  const [first, second] = isNumber ? [`-${key}`, key] : [key, `-${key}`];
  return sort === first ? second : sort === second ? '' : first;
}

const arrowOf = (sort: string, key: string) => (sort === key ? ' ↑' : sort === `-${key}` ? ' ↓' : '');
const ariaSort = (sort: string, key: string) =>
  sort === key ? 'ascending' : sort === `-${key}` ? 'descending' : undefined;

/** The right edge of a column head: drag it, or use the arrow keys, for another width. */
function Edge({ label, width, resize }: { label: string; width: number; resize: (width: number) => void }) {
  const start = useRef<{ x: number; width: number }>(undefined);
  const onKeyDown = (event: KeyboardEvent) => {
    const step = { ArrowLeft: -12, ArrowRight: 12 }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    resize(width + step);
  };
  const onPointerMove = (event: PointerEvent) => {
    if (start.current) resize(start.current.width + event.clientX - start.current.x);
  };
  return (
    <span
      role="separator"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={`Width of ${label}`}
      aria-valuenow={width}
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        start.current = { x: event.clientX, width };
      }}
      onPointerMove={onPointerMove}
      onPointerUp={() => (start.current = undefined)}
      className="absolute -right-[7px] top-1 h-5 w-[5px] cursor-col-resize touch-none rounded hover:bg-marigold focus-visible:bg-marigold"
    />
  );
}

function Head({
  column,
  field,
  sort,
  sortBy,
  resize,
}: Sorting & { column: ListColumn; field: RuleField | undefined; resize: (width: number) => void }) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: column.key });
  const label = field?.label ?? column.key;
  const canSort = field !== undefined && field.type !== 'text';
  const next = nextSort(
    sort,
    column.key,
    field?.type === 'number' || field?.type === 'money' || field?.type === 'date',
  );
  return (
    <span
      ref={setNodeRef}
      role="columnheader"
      aria-sort={ariaSort(sort, column.key)}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx('relative flex min-w-0', isRight(field) && 'justify-end')}
    >
      <button
        type="button"
        {...listeners}
        aria-describedby={attributes['aria-describedby']}
        title={canSort ? 'Click to sort, drag to move' : 'Drag to move'}
        onClick={() => canSort && sortBy(next)}
        className="min-w-0 truncate hover:text-ink hover:underline"
      >
        {label}
        {arrowOf(sort, column.key)}
      </button>
      <Edge label={label} width={column.width} resize={resize} />
    </span>
  );
}

interface Props extends Sorting {
  columns: readonly ListColumn[];
  fields: readonly RuleField[];
}

/** Heads of the goods list: click to sort, drag to move, drag the edge for another width. */
export function ListHead({ columns, fields, sort, sortBy }: Props) {
  const sensors = useDragSensors();
  const keys = columns.map(({ key }) => key);
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      listColumns.set(arrayMove([...columns], keys.indexOf(String(active.id)), keys.indexOf(String(over.id))));
  };
  const resize = (key: string, width: number) =>
    listColumns.set(
      columns.map((column) => (column.key === key ? { key, width: Math.max(NARROWEST, Math.round(width)) } : column)),
    );
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
      // What it says aloud must not stand among the rows of the grid.
      accessibility={{ container: document.body }}
    >
      <SortableContext items={keys} strategy={horizontalListSortingStrategy}>
        <div
          role="row"
          style={gridOf(columns)}
          className="goods-grid sticky top-0 z-20 h-7 border-b border-line bg-paper text-xs font-semibold text-ink-2"
        >
          <span role="columnheader">
            <span className="sr-only">In the tray</span>
          </span>
          <span role="columnheader" aria-sort={ariaSort(sort, 'title')}>
            <button
              type="button"
              onClick={() => sortBy(nextSort(sort, 'title', false))}
              className="hover:text-ink hover:underline"
            >
              Product{arrowOf(sort, 'title')}
            </button>
          </span>
          {columns.map((column) => (
            <Head
              key={column.key}
              column={column}
              field={fields.find(({ key }) => key === column.key)}
              sort={sort}
              sortBy={sortBy}
              resize={(width) => resize(column.key, width)}
            />
          ))}
        </div>
      </SortableContext>
    </DndContext>
  );
}
