import clsx from 'clsx';
import { useEffect, useRef, useState } from 'react';
import type { EmbedView } from '../../../../core/storefront/embed-view';

const devices = { wide: 1_120, phone: 390 } as const;
type Device = keyof typeof devices;

/** Goods as they stand in a page of another site, wide or on a phone; drawn with each change. */
export function EmbedFrame({ view }: { view: EmbedView | undefined }) {
  const [device, setDevice] = useState<Device>('wide');
  const [room, setRoom] = useState({ width: 800, height: 600 });
  const [isReady, setReady] = useState(false);
  const frame = useRef<HTMLIFrameElement>(null);
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const hear = ({ data, source }: MessageEvent) => {
      if (source === frame.current?.contentWindow && data === 'dispona-sample-ready') setReady(true);
    };
    window.addEventListener('message', hear);
    return () => window.removeEventListener('message', hear);
  }, []);
  useEffect(() => {
    if (isReady && view) frame.current?.contentWindow?.postMessage({ disponaEmbed: view }, location.origin);
  }, [isReady, view]);
  useEffect(() => {
    const { current } = place;
    if (!current) return;
    const look = new ResizeObserver(() => setRoom({ width: current.clientWidth, height: current.clientHeight }));
    look.observe(current);
    return () => look.disconnect();
  }, []);
  const width = devices[device];
  const scale = Math.min(1, room.width / width);
  return (
    <div className="flex min-w-0 shrink-0 flex-col">
      <div className="mb-2 flex items-center justify-between">
        <span className="text-ink-2">On a page of another site, made up</span>
        <span role="group" aria-label="How wide" className="flex gap-0.5 rounded-lg bg-sunk p-0.5">
          {(['wide', 'phone'] as const).map((each) => (
            <button
              key={each}
              type="button"
              aria-pressed={each === device}
              onClick={() => setDevice(each)}
              className="rounded-md px-2 py-0.5 aria-pressed:bg-sheet aria-pressed:font-semibold aria-pressed:shadow-sm"
            >
              {each === 'wide' ? 'Wide' : 'Phone'}
            </button>
          ))}
        </span>
      </div>
      <div ref={place} className="h-[30rem] overflow-hidden rounded-[10px] border border-line bg-white">
        <iframe
          ref={frame}
          title="A page of another site with your goods"
          src="/preview/elsewhere"
          className={clsx('origin-top-left border-0', scale === 1 && 'mx-auto block')}
          style={{ width, height: room.height / scale, transform: `scale(${scale})` }}
        />
      </div>
    </div>
  );
}
