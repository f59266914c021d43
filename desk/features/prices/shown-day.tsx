import { useContext, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { Eye } from 'lucide-react';
import { momentWords } from '../../../core/shared/moment';
import { WindowContext } from '../../shared/window-state';

const DAY_MS = 86_400_000;

interface Props {
  /** milliseconds since 1970 */
  range: { begin: number; end: number };
  now: number;
  timeZone: string;
}

/** The day that the shop window shows: dragged along time, or moved by keys, from today on. */
export function ShownDay({ range, now, timeZone }: Props) {
  const { moment, setMoment } = useContext(WindowContext);
  const track = useRef<HTMLDivElement>(null);
  const at = moment === null ? now : Date.parse(moment);
  const part = Math.min(100, ((at - range.begin) / (range.end - range.begin)) * 100);
  const show = (to: number) => {
    const days = Math.round((Math.min(to, range.end) - now) / DAY_MS);
    setMoment(days < 1 ? null : new Date(now + days * DAY_MS).toISOString());
  };
  const drag = ({ clientX, buttons }: PointerEvent) => {
    const { left, width } = track.current!.getBoundingClientRect();
    if (buttons === 1 && width > 0) show(range.begin + ((clientX - left) / width) * (range.end - range.begin));
  };
  const keys = (event: KeyboardEvent) => {
    const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1, PageDown: 7, PageUp: -7 };
    const days = steps[event.key];
    if (event.key === 'Home') setMoment(null);
    else if (days !== undefined) show(at + days * DAY_MS);
    else return;
    event.preventDefault();
  };
  return (
    <>
      <div
        ref={track}
        className="absolute inset-x-0 top-0 h-7 cursor-pointer touch-none"
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          drag(event);
        }}
        onPointerMove={drag}
      >
        <span
          role="slider"
          tabIndex={0}
          aria-label="Day shown in the shop window"
          aria-valuemin={0}
          aria-valuemax={Math.round((range.end - now) / DAY_MS)}
          aria-valuenow={Math.round((at - now) / DAY_MS)}
          aria-valuetext={moment === null ? 'today' : momentWords(moment, timeZone)}
          title="Drag to see the shop on another day"
          onKeyDown={keys}
          className="absolute bottom-0 flex h-5 w-5 -translate-x-1/2 cursor-ew-resize items-center justify-center rounded-full bg-slate text-sheet"
          style={{ left: `${part}%` }}
        >
          <Eye size={12} aria-hidden="true" />
        </span>
      </div>
      {moment !== null && (
        <span
          aria-hidden="true"
          className="pointer-events-none absolute inset-y-0 border-l border-dashed border-slate"
          style={{ left: `${part}%` }}
        />
      )}
    </>
  );
}
