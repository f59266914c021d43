import clsx from 'clsx';
import { ArrowDown, ArrowUp, ChevronDown, ChevronRight } from 'lucide-react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import type { ShelfHead } from '../../../contract/groups';
import { useGoodsDrop } from '../../shared/ui/goods-drag';
import { count } from '../../shared/ui/count';
import { Board } from './board';
import { Ways } from './ways';
import { StatusTag } from '../../shared/ui/swing-tag';
import { pinsAfterMove } from './pins';
import { useCollectionWrites, useShelf, useShelfOrder } from '../../data/groups';

/** Goods drawn on a shelf before it is cut off. */
const SHELF_LENGTH = 14;

function ShelfGoods({ head, currency }: { head: ShelfHead; currency: string }) {
  const { data: shelf } = useShelf(head.id, SHELF_LENGTH);
  const { mutate: order } = useShelfOrder(head.id, SHELF_LENGTH);
  if (!shelf) return <div className="h-[92px] animate-pulse px-3 pt-2 motion-reduce:animate-none" aria-hidden="true" />;
  if (shelf.goods.length === 0)
    return (
      <>
        <p className="px-3 py-4 text-ink-2">
          {head.source === 'picked' ? 'Drop goods here, or ' : ''}
          <Link to={`/groups/${head.id}`} className="font-semibold text-petrol hover:underline">
            {head.source === 'picked' ? 'find some' : head.rule.of.length === 0 ? 'Give it a rule' : 'See its rule'}
          </Link>
        </p>
        <div className="h-[5px] rounded-b-[9px] bg-board" aria-hidden="true" />
      </>
    );
  const isPicked = shelf.source === 'picked';
  return (
    <Board
      goods={shelf.goods}
      currency={currency}
      pins={isPicked ? undefined : shelf.pins}
      reorder={(ids, moved) =>
        order(
          isPicked
            ? {
                ids,
                picked: [...ids, ...shelf.picked.filter((id) => !ids.includes(id))],
                was: { picked: shelf.picked },
              }
            : { ids, pins: pinsAfterMove(ids, moved, shelf.pins), was: { pins: shelf.pins } },
        )
      }
    />
  );
}

interface Props {
  head: ShelfHead;
  currency: string;
  isFolded: boolean;
  fold: () => void;
  /** moves it one shelf up or down; absent where it cannot go, or shelves are not shown in their own order */
  up?: () => void;
  down?: () => void;
}

/** A collection as a shelf: who is on it in order, what fills it, where it stands. */
export function ShelfCard({ head, currency, isFolded, fold, up, down }: Props) {
  const { add } = useCollectionWrites();
  const { isOver, props } = useGoodsDrop((ids) =>
    add.mutate({ id: head.id, ids }, { onSuccess: ({ added }) => void toast(`${added} put onto “${head.name}”`) }),
  );
  const small = 'rounded p-0.5 text-ink-2 hover:bg-sunk hover:text-ink disabled:opacity-30';
  return (
    <article className={clsx('sheet group/shelf', isOver && 'ring-2 ring-petrol')} aria-label={head.name} {...props}>
      <header className="flex items-start gap-2 px-2.5 pt-2 pb-1">
        <button type="button" aria-expanded={!isFolded} onClick={fold} className={clsx(small, 'mt-0.5')}>
          {isFolded ? <ChevronRight size={14} aria-hidden="true" /> : <ChevronDown size={14} aria-hidden="true" />}
          <span className="sr-only">{isFolded ? `Unfold ${head.name}` : `Fold ${head.name}`}</span>
        </button>
        <div className="min-w-0 flex-1">
          <div className="flex items-baseline gap-2">
            <h2 className="truncate font-display text-[15px] font-bold">
              <Link to={`/groups/${head.id}`} className="hover:underline">
                {head.name}
              </Link>
            </h2>
            <span className="shrink-0 text-ink-2">
              {count(head.total)} {head.total === 1 ? 'good' : 'goods'}
            </span>
            <span className="ml-auto flex min-w-0 items-center gap-2">
              <Ways ways={head.ways} />
              <StatusTag shownStatus={head.shownStatus} />
            </span>
          </div>
          <p className="truncate text-ink-2" title={head.sentence}>
            {head.source === 'picked' ? 'picked by hand' : head.sentence}
            {head.orderWords && ` · ${head.pins.length > 0 ? 'pinned, then ' : ''}${head.orderWords}`}
          </p>
          {(head.problems.length > 0 || head.warning) && (
            <p role={head.problems.length > 0 ? 'alert' : undefined} className="text-rose-ink">
              {head.problems[0]?.message ?? head.warning}
            </p>
          )}
        </div>
        {(up ?? down) && (
          <span className="flex flex-col opacity-0 focus-within:opacity-100 group-hover/shelf:opacity-100">
            <button type="button" aria-label={`Move ${head.name} up`} disabled={!up} onClick={up} className={small}>
              <ArrowUp size={12} aria-hidden="true" />
            </button>
            <button
              type="button"
              aria-label={`Move ${head.name} down`}
              disabled={!down}
              onClick={down}
              className={small}
            >
              <ArrowDown size={12} aria-hidden="true" />
            </button>
          </span>
        )}
      </header>
      {isFolded ? (
        <div className="h-[5px] rounded-b-[9px] bg-board" aria-hidden="true" />
      ) : (
        <ShelfGoods head={head} currency={currency} />
      )}
    </article>
  );
}
