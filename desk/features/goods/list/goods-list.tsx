import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import type { RuleField } from '../../../../contract/rule-field';
import { useKeepOffset, useOffsetBefore } from '../../../shared/ui/where-one-was';
import { useEvent } from '../../../shared/ui/use-event';
import { isCommand } from '../../../shared/keyboard';
import { tray, useTray } from '../../../shared/tray-store';
import { CHUNK, useGoodsChunks, type GoodsAsked, type ListedRow } from '../../../data/goods';
import { gridOf, type ListColumn } from './columns';
import { GoodsCard } from './goods-card';
import { GoodsRow } from './goods-row';
import { ListHead } from './list-head';
import { QuickEdit, type QuickField } from './quick-edit';

const ROW = 46;
const CARD = { width: 168, height: 232 };

export interface ListProps {
  asked: GoodsAsked;
  total: number;
  currency: string;
  fields: readonly RuleField[];
  columns: readonly ListColumn[];
  isCards: boolean;
  sort: string;
  sortBy: (sort: string) => void;
  /** called with the row under the cursor, so that the shop window can follow */
  onActive: (id: string | undefined) => void;
}

/** How many cards stand side by side in the scroller. */
function useAcross(scroller: React.RefObject<HTMLDivElement | null>, isCards: boolean): number {
  const [across, setAcross] = useState(4);
  useEffect(() => {
    const element = scroller.current;
    if (!element || !isCards) return;
    const measure = () => setAcross(Math.max(1, Math.floor((element.clientWidth - 12) / CARD.width)));
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [scroller, isCards]);
  return isCards ? across : 1;
}

const quickKeys: Record<string, QuickField> = { e: 'title', p: 'price', s: 'stock', l: 'status' };

/** The goods as rows or cards; only those on screen are drawn and asked for, so that 50,000 scroll like 50. */
export function GoodsList({ asked, total, currency, fields, columns, isCards, sort, sortBy, onActive }: ListProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const inTray = useTray();
  const picked = useMemo(() => new Set(inTray), [inTray]);
  const navigate = useNavigate();
  const [active, setActive] = useState(0);
  const [editing, setEditing] = useState<{ id: string; field: QuickField; at: DOMRect }>();
  const across = useAcross(scroller, isCards);
  const offsetBefore = useOffsetBefore();
  useKeepOffset(scroller, true);
  const virtual = useVirtualizer({
    count: Math.ceil(total / across),
    getScrollElement: () => scroller.current,
    estimateSize: () => (isCards ? CARD.height : ROW),
    initialOffset: offsetBefore,
    overscan: 10,
    // Frames come when the browser has them; drawing inside of the scroll event would hold them up.
    useFlushSync: false,
  });
  useEffect(() => virtual.measure(), [virtual, isCards, across]);
  const shown = virtual.getVirtualItems();
  const chunks = [...new Set(shown.flatMap(({ index }) => [index * across, (index + 1) * across - 1]))].map((at) =>
    Math.floor(at / CHUNK),
  );
  const rows = useGoodsChunks(asked, chunks.length > 0 ? [...new Set(chunks)] : [0]);
  const rowAt = (index: number): ListedRow | undefined => rows.get(Math.floor(index / CHUNK))?.[index % CHUNK];
  const activeId = rowAt(active)?.id;
  useEffect(() => onActive(activeId), [activeId, onActive]);
  const [anchor, setAnchor] = useState(0);

  const move = (to: number) => {
    const next = Math.max(0, Math.min(total - 1, to));
    setActive(next);
    virtual.scrollToIndex(Math.floor(next / across));
    return next;
  };
  /** Those between two rows that were loaded; a range is picked on screen. */
  const between = (a: number, b: number) => {
    const [first, last] = [Math.min(a, b), Math.max(a, b)];
    return Array.from({ length: last - first + 1 }, (_, i) => rowAt(first + i)?.id).filter((id) => id !== undefined);
  };
  const pick = useEvent((index: number, isRange: boolean) => {
    const row = rowAt(index);
    if (!row) return;
    if (isRange) tray.add(between(anchor, index));
    else {
      tray.toggle(row.id);
      setAnchor(index);
    }
  });
  const editBeside = useEvent((id: string, field: QuickField) => {
    const element = scroller.current?.querySelector(`[data-row="${id}"]`);
    const cell = element?.querySelector(`[data-quick="${field}"]`) ?? element;
    if (cell) setEditing({ id, field, at: cell.getBoundingClientRect() });
  });
  // Rows that pass below a mouse that rests are not meant.
  const activate = useEvent((index: number) => {
    if (!virtual.isScrolling) setActive(index);
  });
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.target !== scroller.current || (event.key !== ' ' && !isCommand(event))) return;
    const row = rowAt(active);
    const page = Math.max(1, shown.length - 12) * across;
    const steps: Record<string, number> = {
      ArrowDown: across,
      ArrowUp: -across,
      ...(isCards ? { ArrowRight: 1, ArrowLeft: -1 } : {}),
      PageDown: page,
      PageUp: -page,
      Home: -total,
      End: total,
    };
    const step = steps[event.key];
    const quick = quickKeys[event.key.toLowerCase()];
    if (step !== undefined) {
      const to = move(active + step);
      if (event.shiftKey) tray.add(between(active, to));
      else setAnchor(to);
    } else if (event.ctrlKey || event.metaKey || event.altKey) return;
    else if (row && event.key === 'Enter') void navigate(`/goods/${row.id}`);
    else if (row && (event.key === ' ' || event.key.toLowerCase() === 't')) pick(active, event.shiftKey);
    else if (row && quick) editBeside(row.id, quick);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const endEditing = () => {
    setEditing(undefined);
    scroller.current?.focus({ preventScroll: true });
  };

  return (
    <div className="flex min-h-0 flex-1 flex-col bg-sheet">
      <div
        ref={scroller}
        role="grid"
        aria-rowcount={total}
        tabIndex={0}
        aria-label="Goods: arrow keys move, Enter opens, Space puts in the tray; E, P, S and L change title, price, stock and standing"
        onKeyDown={onKeyDown}
        className="relative min-h-0 flex-1 overflow-auto bg-sheet outline-offset-[-2px]"
        data-goods-scroller
      >
        {!isCards && <ListHead columns={columns} fields={fields} sort={sort} sortBy={sortBy} />}
        <div className="relative" style={{ height: virtual.getTotalSize() }}>
          {shown.map(({ index, start }) => {
            const style = { transform: `translateY(${start}px)` };
            if (isCards)
              return (
                <div key={index} role="row" className="absolute inset-x-0 flex gap-2 px-2 pt-2" style={style}>
                  {Array.from({ length: across }, (_, i) => index * across + i).map((at) => {
                    const row = rowAt(at);
                    return row ? (
                      <GoodsCard
                        key={row.id}
                        row={row}
                        currency={currency}
                        isInTray={picked.has(row.id)}
                        isActive={at === active}
                        pick={(isRange) => pick(at, isRange)}
                        activate={() => activate(at)}
                      />
                    ) : (
                      <span key={at} className="flex-1" />
                    );
                  })}
                </div>
              );
            const row = rowAt(index);
            return (
              <div key={index} className="absolute inset-x-0" style={style}>
                {row ? (
                  <GoodsRow
                    row={row}
                    currency={currency}
                    columns={columns}
                    fields={fields}
                    asked={asked}
                    isInTray={picked.has(row.id)}
                    isActive={index === active}
                    index={index}
                    pick={pick}
                    activate={activate}
                    edit={editBeside}
                  />
                ) : (
                  <div className="goods-grid h-[46px] border-b border-hair" style={gridOf(columns)}>
                    <span />
                    <span className="h-3 w-48 rounded bg-sunk" />
                  </div>
                )}
              </div>
            );
          })}
        </div>
      </div>
      {editing && (
        <QuickEdit key={`${editing.id} ${editing.field}`} {...editing} currency={currency} close={endEditing} />
      )}
    </div>
  );
}
