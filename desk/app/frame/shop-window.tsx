import clsx from 'clsx';
import { CalendarClock, ExternalLink, Monitor, PanelRightClose, Smartphone } from 'lucide-react';
import { lazy, Suspense, useContext, useEffect, useRef, useState } from 'react';
import { READY, REDRAW, type TypedMessage } from '../../../contract/shop-window';
import { typedDrafts } from '../../shared/ui/typed-drafts';
import { onShopChanged } from '../../data/live-updates';
import { useStatus } from '../../data/session';
import { previewBase, WindowContext } from '../../shared/window-state';

const WindowDay = lazy(() => import('./window-day'));

const WIDTHS = { wide: 1280, phone: 390 };
const LIMITS = { min: 280, max: 820, usual: 340 };

const stored = (key: string, fallback: number) => Number(localStorage.getItem(key)) || fallback;

interface Props {
  putAway: () => void;
  /** it has the whole screen, as on a phone */
  isAlone?: boolean;
}

/** The real storefront beside the work, from the working copy, as wide as a desk or a phone. */
export function ShopWindow({ putAway, isAlone = false }: Props) {
  const { path, note, unseen, moment, setMoment, edition, setEdition } = useContext(WindowContext);
  const { changes = 0, timeZone = 'UTC' } = useStatus().data ?? {};
  const [isDayOpen, setDayOpen] = useState(false);
  const address = previewBase(moment, edition) + path;
  const frame = useRef<HTMLIFrameElement>(null);
  const pane = useRef<HTMLDivElement>(null);
  const [paneWidth, setPaneWidth] = useState(() => stored('dispona.window', LIMITS.usual));
  const [device, setDevice] = useState<keyof typeof WIDTHS>('phone');
  const [{ height, width }, setSize] = useState({ height: 600, width: 316 });

  /** the shop has changed since the page began to load: it may have been drawn before, and heard nothing of it yet */
  const hasChanged = useRef(false);
  useEffect(() => {
    const target = frame.current?.contentWindow;
    if (!target || target.location.pathname + target.location.search === address) return;
    hasChanged.current = false;
    target.location.replace(address);
  }, [address]);

  useEffect(() => {
    const send = (message: TypedMessage | typeof REDRAW) =>
      frame.current?.contentWindow?.postMessage(message, window.location.origin);
    const type = () => send({ dispona: 'typed', typed: typedDrafts.all() });
    const onMessage = ({ origin, source, data }: MessageEvent<unknown>) => {
      const isOurs = origin === window.location.origin && source === frame.current?.contentWindow;
      if (!isOurs || data !== READY) return;
      if (hasChanged.current) send(REDRAW);
      if (typedDrafts.all().length > 0) type();
    };
    const redraw = () => {
      hasChanged.current = true;
      send(REDRAW);
    };
    const stops = [onShopChanged(redraw), typedDrafts.subscribe(type)];
    window.addEventListener('message', onMessage);
    return () => {
      window.removeEventListener('message', onMessage);
      for (const stop of stops) stop();
    };
  }, []);

  useEffect(() => {
    const element = pane.current;
    if (!element) return;
    const observer = new ResizeObserver(() => setSize({ height: element.clientHeight, width: element.clientWidth }));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const scale = Math.min(1, width / WIDTHS[device]);
  const resize = (width: number) => {
    const next = Math.max(LIMITS.min, Math.min(LIMITS.max, width));
    setPaneWidth(next);
    localStorage.setItem('dispona.window', String(next));
  };
  const button = (kind: keyof typeof WIDTHS, words: string, icon: React.ReactNode) => (
    <button
      type="button"
      aria-pressed={device === kind}
      onClick={() => setDevice(kind)}
      className="flex items-center gap-1 rounded-md px-1 py-0.5 text-ink-2 hover:text-ink aria-pressed:font-semibold aria-pressed:text-ink"
    >
      {icon}
      {words}
    </button>
  );

  return (
    <aside
      aria-label="Shop window"
      className={clsx('relative flex flex-col bg-edge', isAlone ? 'min-h-0 flex-1' : 'shrink-0 border-l border-line')}
      style={isAlone ? undefined : { width: paneWidth }}
    >
      {!isAlone && (
        <div
          role="separator"
          aria-orientation="vertical"
          aria-label="Width of the shop window"
          aria-valuenow={paneWidth}
          aria-valuemin={LIMITS.min}
          aria-valuemax={LIMITS.max}
          tabIndex={0}
          className="absolute inset-y-0 -left-1 z-10 w-2 cursor-col-resize"
          onKeyDown={(event) => {
            if (event.key === 'ArrowLeft') resize(paneWidth + 20);
            if (event.key === 'ArrowRight') resize(paneWidth - 20);
          }}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={(event) => {
            if (event.buttons === 1) resize(window.innerWidth - event.clientX);
          }}
        />
      )}
      <div className="flex h-11 items-center gap-0.5 px-3">
        <h2
          className="mr-auto min-w-0 truncate font-semibold"
          title={changes > 0 ? 'As shoppers will see it with the next edition' : 'As shoppers see it'}
        >
          Shop window
        </h2>
        {button('wide', 'Wide', <Monitor size={13} aria-hidden="true" />)}
        {button('phone', 'Phone', <Smartphone size={13} aria-hidden="true" />)}
        <button
          type="button"
          aria-expanded={isDayOpen || moment !== null}
          title="Show the shop on another day"
          onClick={() => {
            setMoment(null);
            setDayOpen(!isDayOpen && moment === null);
          }}
          className="rounded-md p-1 text-ink-2 hover:text-ink aria-expanded:bg-sheet aria-expanded:text-ink"
        >
          <CalendarClock size={14} aria-hidden="true" />
          <span className="sr-only">Show the shop on another day</span>
        </button>
        <a
          href={address}
          target="_blank"
          rel="noreferrer"
          title="Open in a tab"
          className="rounded-md p-1 text-ink-2 hover:text-ink"
        >
          <ExternalLink size={14} aria-hidden="true" />
          <span className="sr-only">Open in a tab</span>
        </a>
        {!isAlone && (
          <button
            type="button"
            onClick={putAway}
            title="Put away (W)"
            className="rounded-md p-1 text-ink-2 hover:text-ink"
          >
            <PanelRightClose size={14} aria-hidden="true" />
            <span className="sr-only">Put the shop window away</span>
          </button>
        )}
      </div>
      {(isDayOpen || moment !== null) && (
        <Suspense>
          <WindowDay
            moment={moment}
            timeZone={timeZone}
            show={setMoment}
            close={() => {
              setMoment(null);
              setDayOpen(false);
            }}
          />
        </Suspense>
      )}
      {edition && (
        <p role="status" className="mx-3 mb-2 flex items-center gap-2 rounded-lg bg-sky px-3 py-1.5 text-sky-ink">
          <span className="min-w-0 flex-1 truncate" title={edition.words}>
            {edition.words}
          </span>
          <button type="button" onClick={() => setEdition(null)} className="shrink-0 font-semibold hover:underline">
            Back to the work
          </button>
        </p>
      )}
      {unseen && (
        <p role="status" className="mx-3 mb-2 rounded-lg bg-marigold-soft px-3 py-1.5 font-semibold text-marigold-ink">
          {unseen}
        </p>
      )}
      <div ref={pane} className="sheet relative mx-3 mb-3 min-h-0 flex-1 overflow-hidden">
        <iframe
          ref={frame}
          title="The shop as shoppers will see it"
          src={address}
          className={clsx('origin-top-left border-0 bg-white', scale === 1 && 'mx-auto block')}
          style={{ width: WIDTHS[device], height: height / scale, transform: `scale(${scale})` }}
        />
      </div>
      {note && <p className="mx-3 mb-3 rounded-[10px] bg-slate px-3 py-2.5 text-sheet">{note}</p>}
    </aside>
  );
}
