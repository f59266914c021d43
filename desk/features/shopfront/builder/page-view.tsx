import { useEffect, useRef, useState } from 'react';
import {
  isBuildingEvent,
  READY,
  REDRAW,
  type BuildingEvent,
  type BuildingMessage,
  type TypedMessage,
} from '../../../../contract/shop-window';
import { onShopChanged } from '../../../data/live-updates';
import { typedDrafts } from '../../../shared/ui/typed-drafts';
import { useEvent } from '../../../shared/ui/use-event';
import { ChoiceRow } from '../fields/choice-row';

const WIDTHS = { wide: 1280, phone: 390 };

interface Props {
  /** address of the page in the shop */
  path: string;
  building: Omit<BuildingMessage, 'dispona'>;
  on: (event: BuildingEvent) => void;
}

/** The page itself, as shoppers will see it: sections are chosen, typed in and moved right on it. */
export function BuiltPage({ path, building, on }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const pane = useRef<HTMLDivElement>(null);
  const [device, setDevice] = useState<keyof typeof WIDTHS>('wide');
  const [isActual, setActual] = useState(false);
  const [size, setSize] = useState({ width: 700, height: 600 });
  const tellNow = useEvent(on);
  const latest = useRef(building);

  useEffect(() => {
    const send = (message: TypedMessage | BuildingMessage | typeof REDRAW) =>
      frame.current?.contentWindow?.postMessage(message, window.location.origin);
    let hasChanged = false;
    const build = () => send({ dispona: 'building', ...latest.current });
    const type = () => send({ dispona: 'typed', typed: typedDrafts.all() });
    const onMessage = ({ origin, source, data }: MessageEvent<unknown>) => {
      if (origin !== window.location.origin || source !== frame.current?.contentWindow) return;
      if (data === READY) {
        // What changed while it was loading it may have been drawn without.
        if (hasChanged) send(REDRAW);
        build();
        type();
      } else if (isBuildingEvent(data)) tellNow(data);
    };
    const redraw = () => {
      hasChanged = true;
      send(REDRAW);
    };
    const stops = [onShopChanged(redraw), typedDrafts.subscribe(type)];
    window.addEventListener('message', onMessage);
    return () => {
      window.removeEventListener('message', onMessage);
      for (const stop of stops) stop();
    };
  }, [tellNow]);

  useEffect(() => {
    latest.current = building;
    const message: BuildingMessage = { dispona: 'building', ...building };
    frame.current?.contentWindow?.postMessage(message, window.location.origin);
  }, [building]);

  useEffect(() => {
    const element = pane.current!;
    const observer = new ResizeObserver(() => setSize({ width: element.clientWidth, height: element.clientHeight }));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const width = WIDTHS[device];
  const scale = isActual ? 1 : Math.min(1, size.width / width);
  return (
    <div className="flex min-h-0 min-w-0 flex-1 flex-col gap-2">
      <div className="flex items-center justify-between gap-3 text-ink-2">
        <span className="min-w-0 truncate">The page as shoppers will see it</span>
        <span className="flex shrink-0 items-center gap-3">
          <ChoiceRow
            label="Screen"
            hideLabel
            value={device}
            choices={[
              { value: 'wide', label: 'Wide' },
              { value: 'phone', label: 'Phone' },
            ]}
            choose={setDevice}
          />
          <button
            type="button"
            aria-pressed={isActual}
            title={isActual ? 'Show all of its width' : 'Show it in its real size'}
            onClick={() => setActual(!isActual)}
            className="min-w-12 rounded-md px-1.5 py-1 tabular-nums hover:bg-sunk aria-pressed:font-semibold aria-pressed:text-ink"
          >
            {Math.round(scale * 100)} %
          </button>
        </span>
      </div>
      <div ref={pane} className="sheet relative min-h-0 flex-1 overflow-auto">
        <iframe
          ref={frame}
          title="The page that is being built"
          src={`/preview${path}`}
          className={`origin-top-left border-0 bg-white ${device === 'phone' ? 'mx-auto block' : ''}`}
          style={{
            width,
            height: Math.max(200, size.height / scale - (isActual ? 16 : 0)),
            transform: `scale(${scale})`,
          }}
        />
      </div>
    </div>
  );
}
