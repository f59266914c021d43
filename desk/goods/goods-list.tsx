import { useVirtualizer } from '@tanstack/react-virtual';
import clsx from 'clsx';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { tray, useTray } from '../frame/tray-store';
import { columns, GoodsRow } from './goods-row';
import { CHUNK, useGoodsChunks, type GoodsFilter } from './queries';

const ROW = 46;

interface Props {
  filter: GoodsFilter;
  total: number;
  currency: string;
  sortBy: (sort: string) => void;
  /** called with the row under the cursor, so that the shop window can follow */
  onActive: (id: string | undefined) => void;
}

const heads: { label: string; sorts?: [string, string]; right?: boolean }[] = [
  { label: '' },
  { label: 'Product', sorts: ['title', 'newest'] },
  { label: 'Standing' },
  { label: 'Price', sorts: ['price-up', 'price-down'], right: true },
  { label: 'In stock', sorts: ['stock-up', 'newest'], right: true },
  { label: 'Where it shows' },
  { label: 'Margin', right: true },
];

/** The goods as rows; only those on screen are drawn and asked for, so that 50,000 scroll like 50. */
export function GoodsList({ filter, total, currency, sortBy, onActive }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const picked = useTray();
  const navigate = useNavigate();
  const [active, setActive] = useState(0);
  const virtual = useVirtualizer({
    count: total,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 8,
  });
  const shown = virtual.getVirtualItems();
  const chunks = [...new Set(shown.map(({ index }) => Math.floor(index / CHUNK)))];
  const rows = useGoodsChunks(filter, chunks.length > 0 ? chunks : [0]);
  const rowAt = (index: number) => rows.get(Math.floor(index / CHUNK))?.[index % CHUNK];
  const activeId = rowAt(active)?.id;
  useEffect(() => onActive(activeId), [activeId, onActive]);

  const move = (to: number) => {
    const next = Math.max(0, Math.min(total - 1, to));
    setActive(next);
    virtual.scrollToIndex(next);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const row = rowAt(active);
    const steps: Record<string, number> = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: 10,
      PageUp: -10,
      Home: -total,
      End: total,
    };
    const step = steps[event.key];
    if (step !== undefined) {
      if (event.shiftKey && row) tray.add([row.id, ...[rowAt(active + step)?.id ?? row.id]]);
      move(active + step);
    } else if (row && event.key === 'Enter' && event.target === scroller.current) void navigate(`/goods/${row.id}`);
    else if (row && (event.key === ' ' || event.key.toLowerCase() === 't') && event.target === scroller.current)
      tray.toggle(row.id);
    else return;
    event.preventDefault();
  };

  return (
    <div role="grid" aria-label="Goods" aria-rowcount={total} className="flex min-h-0 flex-1 flex-col">
      <div
        role="row"
        className={clsx(columns, 'h-7 shrink-0 border-b border-line bg-paper text-xs font-semibold text-ink-2')}
      >
        {heads.map(({ label, sorts, right }) => {
          const isSorted = sorts?.includes(filter.sort) && filter.sort !== 'newest';
          const next = sorts && (filter.sort === sorts[0] ? sorts[1] : sorts[0]);
          return (
            <span
              key={label}
              role="columnheader"
              aria-sort={isSorted ? (filter.sort === 'price-down' ? 'descending' : 'ascending') : undefined}
              className={clsx(right && 'text-right')}
            >
              {next ? (
                <button type="button" onClick={() => sortBy(next)} className="hover:text-ink hover:underline">
                  {label}
                  {isSorted && (filter.sort === 'price-down' ? ' ↓' : ' ↑')}
                </button>
              ) : (
                label
              )}
            </span>
          );
        })}
      </div>
      <div
        ref={scroller}
        tabIndex={0}
        aria-label="Rows: arrow keys move, Enter opens, Space puts in the tray"
        onKeyDown={onKeyDown}
        className="relative min-h-0 flex-1 overflow-y-auto bg-sheet outline-offset-[-2px]"
        data-goods-scroller
      >
        <div className="relative" style={{ height: virtual.getTotalSize() }}>
          {shown.map(({ index, start }) => {
            const row = rowAt(index);
            return (
              <div key={index} className="absolute inset-x-0" style={{ transform: `translateY(${start}px)` }}>
                {row ? (
                  <GoodsRow
                    row={row}
                    currency={currency}
                    isInTray={picked.includes(row.id)}
                    isActive={index === active}
                    toggle={() => tray.toggle(row.id)}
                    activate={() => setActive(index)}
                  />
                ) : (
                  <div className="flex h-[46px] items-center gap-3 border-b border-hair px-12">
                    <div className="h-3 w-48 rounded bg-sunk" />
                  </div>
                )}
              </div>
            );
          })}
        </div>
      </div>
    </div>
  );
}
