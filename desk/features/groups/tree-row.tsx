import clsx from 'clsx';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState, type DragEvent, type KeyboardEvent } from 'react';
import { Link } from 'react-router';
import type { CategoryRow } from '../../../contract/groups';
import { areGoods, useGoodsDrop } from '../../shared/ui/goods-drag';
import type { Zone } from '../../../core/groups/tree-moves';

const TYPE = 'application/x-dispona-category';

function zoneOf(event: DragEvent<HTMLElement>): Zone {
  const { top, height } = event.currentTarget.getBoundingClientRect();
  const at = (event.clientY - top) / height;
  return at < 0.28 ? 'before' : at > 0.72 ? 'after' : 'into';
}

interface Props {
  row: CategoryRow;
  isOpen: boolean;
  hasBelow: boolean;
  isFolded: boolean;
  fold: () => void;
  onKeyDown: (event: KeyboardEvent) => void;
  rename: () => void;
  takeGoods: (ids: string[]) => void;
  takeCategory: (id: string, zone: Zone) => void;
}

/** One category of the tree: opened by a click, dragged with its branch, takes goods that are dropped on it. */
export function TreeRow({ row, isOpen, hasBelow, isFolded, fold, onKeyDown, rename, takeGoods, takeCategory }: Props) {
  const goods = useGoodsDrop(takeGoods);
  const [zone, setZone] = useState<Zone | null>(null);
  const isCategory = (event: DragEvent) => event.dataTransfer.types.includes(TYPE);
  // What stands in it itself is told where it is both some and not all.
  const words = row.own === row.count || row.own === 0 ? String(row.count) : `${row.own} of ${row.count}`;
  return (
    <div
      data-takes-goods={goods.props['data-takes-goods']}
      className={clsx(
        'relative flex items-center rounded-md hover:bg-sunk/70',
        isOpen && 'bg-marigold-soft font-semibold',
        (goods.isOver || zone === 'into') && 'bg-petrol-soft ring-1 ring-petrol',
      )}
      style={{ paddingLeft: (row.level - 1) * 13 }}
      draggable
      onDragStart={(event) => {
        event.dataTransfer.setData(TYPE, row.id);
        event.dataTransfer.effectAllowed = 'move';
      }}
      onDragOver={(event) => {
        if (areGoods(event)) return goods.props.onDragOver(event);
        if (!isCategory(event)) return;
        event.preventDefault();
        setZone(zoneOf(event));
      }}
      onDragLeave={() => {
        goods.props.onDragLeave();
        setZone(null);
      }}
      onDrop={(event) => {
        setZone(null);
        if (areGoods(event)) return goods.props.onDrop(event);
        if (!isCategory(event)) return;
        event.preventDefault();
        takeCategory(event.dataTransfer.getData(TYPE), zoneOf(event));
      }}
    >
      {zone && zone !== 'into' && (
        <span
          aria-hidden="true"
          className={clsx('absolute inset-x-1 h-0.5 rounded bg-petrol', zone === 'before' ? 'top-0' : 'bottom-0')}
        />
      )}
      {hasBelow ? (
        <button
          type="button"
          tabIndex={-1}
          aria-label={isFolded ? `Unfold ${row.name}` : `Fold ${row.name}`}
          onClick={fold}
          className="rounded p-0.5 text-ink-2 hover:text-ink"
        >
          {isFolded ? <ChevronRight size={12} aria-hidden="true" /> : <ChevronDown size={12} aria-hidden="true" />}
        </button>
      ) : (
        <span className="w-4" />
      )}
      <Link
        to={`/groups/category/${row.id}`}
        data-category={row.id}
        draggable={false}
        aria-current={isOpen ? 'page' : undefined}
        title={`${row.name}: ${row.own} in it, ${row.count} with those below; F2 renames, Alt and arrows move`}
        onDoubleClick={rename}
        onKeyDown={onKeyDown}
        className={clsx('flex min-w-0 flex-1 justify-between gap-2 py-1 pr-1.5', row.level === 1 && 'font-medium')}
      >
        <span className={clsx('truncate', row.shownStatus === 'off' && 'text-ink-2 line-through')}>{row.name}</span>
        <span className="shrink-0 text-ink-2" aria-label={`${row.own} in it, ${row.count} with those below`}>
          {words}
        </span>
      </Link>
    </div>
  );
}
