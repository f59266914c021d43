import { format } from 'date-fns';
import { useContext, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useOffers } from '../../data/offers';
import { useEditions, useMoments, type Edition, type Moment } from '../../data/review';
import { monthsIn, placeOf, type Range } from '../../shared/timeline-span';
import { WindowContext } from '../../shared/window-state';

const DAY_MS = 86_400_000;
/** So far back and ahead the ribbon reaches, in days from now. */
const EARLIEST = -90;
const LATEST = 90;
const MOST_OFFERS = 4;

/** The edition that shoppers saw at a moment; undefined before the first. */
export const editionAt = (editions: readonly Edition[], moment: number): Edition | undefined =>
  editions.find(({ at }) => Date.parse(at) <= moment);

const dayOf = (moment: number) => format(new Date(moment), 'EEE d MMM yyyy');

const momentWords = {
  saleBegins: (things: string) => `a sale begins: ${things}`,
  saleEnds: (things: string) => `a sale ends: ${things}`,
  comes: (things: string) => `on the shop from here on: ${things}`,
  goes: (things: string) => `off the shop from here on: ${things}`,
  sectionComes: (things: string) => `a section comes on: ${things}`,
  sectionGoes: (things: string) => `a section goes from: ${things}`,
};
/** Goods that are told by name at one moment. */
const MOST_NAMED = 4;

const named = (titles: readonly string[]) =>
  titles.length <= MOST_NAMED
    ? titles.join(', ')
    : `${titles.slice(0, MOST_NAMED).join(', ')} and ${titles.length - MOST_NAMED} more`;

/** The moments of each day, as one mark of the ribbon. */
function dayMarks(moments: readonly Moment[]): { at: number; words: string }[] {
  const days = new Map<string, Moment[]>();
  for (const each of moments) {
    const day = format(new Date(each.at), 'yyyy-MM-dd');
    days.set(day, [...(days.get(day) ?? []), each]);
  }
  return [...days.values()].map((all) => ({
    at: Date.parse(all[0]!.at),
    words: `${dayOf(Date.parse(all[0]!.at))}: ${all.map(({ what, titles }) => momentWords[what](named(titles))).join('; ')}`,
  }));
}

const today = { days: 0, moment: null, edition: null };

/** Time as a ribbon: editions that were and will be, offers, and what begins or ends by the clock. Its day is dragged, and the shop window shows the shop of that day. */
export function Ribbon() {
  const { data } = useEditions();
  const { data: offers } = useOffers();
  const { data: timed } = useMoments(LATEST);
  const { moment, setMoment, edition, setEdition } = useContext(WindowContext);
  const [now] = useState(Date.now);
  const [set, setSet] = useState<{ days: number; moment: string | null; edition: string | null }>(today);
  const track = useRef<HTMLDivElement>(null);
  const isDragging = useRef(false);
  const range: Range = useMemo(() => ({ begin: now + EARLIEST * DAY_MS, end: now + LATEST * DAY_MS }), [now]);
  const part = (moment: number) => ((moment - range.begin) / (range.end - range.begin)) * 100;
  const editions = data?.editions ?? [];
  // Something else may have turned the window since.
  const isOurs = moment === set.moment && (edition?.id ?? null) === set.edition;
  const days = isOurs ? set.days : 0;
  const shown = now + days * DAY_MS;
  const past = days < 0 ? editionAt(editions, shown) : undefined;

  const show = (day: number) => {
    const wanted = Math.max(EARLIEST, Math.min(LATEST, Math.round(day)));
    const at = now + wanted * DAY_MS;
    const then = wanted < 0 ? editionAt(editions, at) : undefined;
    const next = { moment: wanted > 0 ? new Date(at).toISOString() : null, edition: then ? String(then.number) : null };
    setSet({ days: wanted, ...next });
    setMoment(next.moment);
    setEdition(
      then
        ? {
            id: String(then.number),
            words: `The shop on ${dayOf(at)}, edition ${then.number}`,
            moment: new Date(at).toISOString(),
          }
        : null,
    );
  };
  const follow = (event: PointerEvent) => {
    const box = track.current!.getBoundingClientRect();
    show(((event.clientX - box.left) / box.width) * (LATEST - EARLIEST) + EARLIEST);
  };
  const keys = (event: KeyboardEvent) => {
    const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageDown: -7, PageUp: 7 };
    const step = steps[event.key];
    if (step !== undefined) show(days + step);
    else if (event.key === 'Home' || event.key === 'Escape') show(0);
    else return;
    event.preventDefault();
  };
  const bars = (offers?.offers ?? [])
    .flatMap(({ offer }) => {
      const place = offer.isOn ? placeOf(offer, range) : null;
      return place ? [{ id: offer.id, name: offer.name, place }] : [];
    })
    .slice(0, MOST_OFFERS);
  const dayWords = () => {
    if (days > 0) return `${dayOf(shown)}, if nothing is changed until then`;
    if (days < 0) return `${dayOf(shown)}, ${past ? `edition ${past.number}` : 'before the first edition'}`;
    return 'Today, with the work as it is';
  };
  const marks = useMemo(() => dayMarks(timed?.moments ?? []), [timed]);
  const words = edition && !isOurs ? edition.words : dayWords();
  return (
    <section aria-label="Time" className="sheet px-3.5 pb-2 pt-2.5">
      <p className="mb-1.5 flex flex-wrap items-baseline gap-2 text-[13px]">
        <strong className="font-semibold">{words}</strong>
        {days !== 0 && (
          <button type="button" className="text-xs font-semibold text-ink-2 hover:underline" onClick={() => show(0)}>
            Back to today
          </button>
        )}
      </p>
      <div
        ref={track}
        role="slider"
        tabIndex={0}
        aria-label="Day that the shop window shows"
        aria-valuemin={EARLIEST}
        aria-valuemax={LATEST}
        aria-valuenow={days}
        aria-valuetext={words}
        onKeyDown={keys}
        onPointerDown={(event) => {
          isDragging.current = true;
          event.currentTarget.setPointerCapture(event.pointerId);
          follow(event);
        }}
        onPointerMove={(event) => isDragging.current && follow(event)}
        onPointerUp={() => (isDragging.current = false)}
        onPointerCancel={() => (isDragging.current = false)}
        className="relative h-20 cursor-ew-resize touch-none select-none rounded-lg bg-sunk"
      >
        {monthsIn(range).map((month) => (
          <span
            key={month}
            className="absolute inset-y-0 border-l border-line pl-1 text-[10px] text-ink-2"
            style={{ left: `${part(month)}%` }}
          >
            {format(new Date(month), 'MMM')}
          </span>
        ))}
        {marks.map(({ at, words: what }) => (
          <span
            key={at}
            title={what}
            className="absolute top-[38px] h-1.5 w-1 -translate-x-1/2 rounded-full bg-ink-2"
            style={{ left: `${part(at)}%` }}
          />
        ))}
        {bars.map(({ id, name, place }, i) => (
          <span
            key={id}
            title={name}
            className="absolute h-1.5 rounded-full bg-petrol-soft outline outline-petrol"
            style={{ left: `${place.left}%`, width: `${place.width}%`, bottom: `${4 + i * 9}px` }}
          />
        ))}
        {editions.map(({ number, at, label }) => {
          const place = part(Date.parse(at));
          return place < 0 ? null : (
            <span
              key={number}
              title={[`Edition ${number}`, label].filter(Boolean).join(': ')}
              className="absolute top-4 grid size-5 -translate-x-1/2 place-items-center rounded-full bg-slate text-[10px] font-bold text-sheet"
              style={{ left: `${place}%` }}
            >
              {number}
            </span>
          );
        })}
        {(data?.planned ?? []).map(({ id, at, label }) => {
          const place = part(Date.parse(at));
          return place > 100 ? null : (
            <span
              key={id}
              title={label || 'Planned edition'}
              className="absolute top-4 size-5 -translate-x-1/2 rounded-full border-2 border-dashed border-slate bg-sheet"
              style={{ left: `${place}%` }}
            />
          );
        })}
        <span
          aria-hidden="true"
          className="absolute inset-y-0 w-0.5 -translate-x-1/2 bg-marigold"
          style={{ left: `${part(shown)}%` }}
        />
      </div>
    </section>
  );
}
