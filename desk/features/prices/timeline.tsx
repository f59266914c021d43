import clsx from 'clsx';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { OfferRow, OffersAnswer } from '../../data/offers';
import { ShownDay } from './shown-day';
import { monthsIn, placeOf, rangeAround, shifted, type Grip, type Span } from '../../shared/timeline-span';

const DAY_MS = 86_400_000;
/** A press that moves less is a click. */
const STILL_PX = 4;

const looks: Record<OfferRow['status'], string> = {
  running: 'bg-petrol-soft text-petrol-ink',
  coming: 'bg-sky text-sky-ink',
  paused: 'bg-sky text-sky-ink',
  over: 'bg-sunk text-ink-2',
  off: 'border border-dashed border-ink-3 bg-sheet text-ink-2',
};

const noteOf = ({ status, goods, codes, uses, meets, offer }: OfferRow) =>
  [
    { running: '', coming: 'coming', paused: 'not at this hour', over: 'over', off: 'off' }[status],
    offer.needsCode ? `code, ${uses}${offer.uses === null ? '' : ` of ${offer.uses}`} used` : `${goods} goods`,
    offer.needsCode && codes === 0 ? 'no code yet' : '',
    meets > 0 ? `meets ${meets} ${meets === 1 ? 'other' : 'others'}` : '',
  ]
    .filter(Boolean)
    .join(' · ');

interface BarProps {
  row: OfferRow;
  range: { begin: number; end: number };
  isCurrent: boolean;
  open: () => void;
  move: (span: Span) => void;
}

function Bar({ row, range, isCurrent, open, move }: BarProps) {
  const { offer } = row;
  const [dragged, setDragged] = useState<Span | null>(null);
  const drag = useRef<{ x: number; grip: Grip; moved: boolean }>(undefined);
  const bar = useRef<HTMLDivElement>(null);
  const span = dragged ?? offer;
  const place = placeOf(span, range);
  const daysOf = (px: number) => {
    const width = bar.current?.parentElement?.clientWidth ?? 1;
    return Math.round((px / width) * ((range.end - range.begin) / DAY_MS));
  };
  const press = (grip: Grip) => (event: PointerEvent) => {
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, grip, moved: false };
  };
  const follow = (event: PointerEvent) => {
    const held = drag.current;
    if (!held) return;
    const px = event.clientX - held.x;
    if (Math.abs(px) > STILL_PX) held.moved = true;
    if (held.moved) setDragged(shifted(offer, daysOf(px), held.grip));
  };
  const release = () => {
    const held = drag.current;
    drag.current = undefined;
    if (held && !held.moved) open();
    else if (dragged) move(dragged);
    setDragged(null);
  };
  const keys = (event: KeyboardEvent) => {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (event.key === 'Enter' || event.key === ' ') open();
    else if (step) move(shifted(offer, step, event.shiftKey ? 'until' : 'all'));
    else return;
    event.preventDefault();
  };
  const handlers = { onPointerMove: follow, onPointerUp: release, onPointerCancel: release };
  if (!place)
    return (
      <button type="button" onClick={open} className="ml-2 text-ink-2 hover:underline">
        {offer.name} · {row.status}
      </button>
    );
  const isNarrow = place.width < 14;
  const grip = 'absolute inset-y-0 w-2 cursor-ew-resize opacity-0 hover:bg-ink/20 hover:opacity-100';
  return (
    <>
      <div
        ref={bar}
        role="button"
        tabIndex={0}
        aria-label={`${offer.name}, ${row.does}. Arrow keys move it by a day, with Shift its end.`}
        aria-pressed={isCurrent}
        onKeyDown={keys}
        onPointerDown={press('all')}
        {...handlers}
        className={clsx(
          'absolute inset-y-1 flex min-w-3 cursor-grab touch-none items-center overflow-hidden rounded-md px-2 font-semibold active:cursor-grabbing',
          isCurrent ? 'bg-marigold text-ink ring-2 ring-ink' : looks[row.status],
        )}
        style={{ left: `${place.left}%`, width: `${place.width}%` }}
      >
        {!isNarrow && <span className="truncate">{offer.name}</span>}
        {offer.from !== null && (
          <span aria-hidden="true" onPointerDown={press('from')} {...handlers} className={`${grip} left-0`} />
        )}
        {offer.until !== null && (
          <span aria-hidden="true" onPointerDown={press('until')} {...handlers} className={`${grip} right-0`} />
        )}
      </div>
      <span
        className="pointer-events-none absolute inset-y-1 flex items-center truncate whitespace-nowrap text-xs text-ink-2"
        style={
          place.left + place.width > 70
            ? { right: `${100 - place.left + 0.5}%` }
            : { left: `${place.left + place.width + 0.5}%` }
        }
      >
        {isNarrow && <strong className="mr-1.5 text-[13px] text-ink">{offer.name}</strong>}
        {noteOf(row)}
      </span>
    </>
  );
}

interface Props {
  answer: OffersAnswer;
  current: string | undefined;
  open: (id: string) => void;
  move: (id: string, span: Span) => void;
}

/** Offers and sale prices along time: dragged to other days, or stretched at an end. */
export function Timeline({ answer, current, open, move }: Props) {
  const now = Date.parse(answer.now);
  const range = rangeAround(now);
  const part = (at: number) => ((at - range.begin) / (range.end - range.begin)) * 100;
  const month = new Intl.DateTimeFormat('en', { month: 'long', timeZone: 'UTC' });
  const sales = answer.sales.flatMap((span) => {
    const place = placeOf(span, range);
    return place ? [{ ...span, place }] : [];
  });
  const onSale = answer.sales.reduce((sum, { goods }) => sum + goods, 0);
  return (
    <section aria-label="Offers along time" className="sheet relative overflow-hidden px-0 pb-1 pt-7 text-[13px]">
      {monthsIn(range).map((at) => (
        <span
          key={at}
          className="absolute top-1.5 border-l border-line pl-1.5 text-xs text-ink-2"
          style={{ left: `${part(at)}%` }}
        >
          {Math.abs(part(at) - part(now)) > 8 && month.format(at)}
        </span>
      ))}
      <span
        className="absolute inset-y-0 border-l-2 border-rose"
        style={{ left: `${part(now)}%` }}
        aria-hidden="true"
      />
      <span
        className="absolute top-1.5 bg-sheet pl-1 text-xs font-bold text-rose-ink"
        style={{ left: `calc(${part(now)}% + 4px)` }}
      >
        today
      </span>
      <ShownDay range={range} now={now} timeZone={answer.timeZone} />
      <ul className="relative max-h-[17.5rem] overflow-y-auto">
        {answer.offers.map((row) => (
          <li key={row.offer.id} className="relative h-8 border-b border-hair">
            <Bar
              row={row}
              range={range}
              isCurrent={row.offer.id === current}
              open={() => open(row.offer.id)}
              move={(span) => move(row.offer.id, span)}
            />
          </li>
        ))}
        {sales.length > 0 && (
          <li className="relative h-8">
            {sales.map(({ place, from, until, goods }) => (
              <span
                key={`${from} ${until}`}
                title={`${goods} goods`}
                className="absolute inset-y-1 rounded-md bg-edge opacity-80"
                style={{ left: `${place.left}%`, width: `${place.width}%` }}
              />
            ))}
            <span className="absolute inset-y-1 left-2 flex items-center font-semibold">
              Sale prices{' '}
              <span className="ml-2 text-xs font-normal text-ink-2">{onSale} goods, each with its own days</span>
            </span>
          </li>
        )}
      </ul>
    </section>
  );
}
