import { useCallback, useEffect, useRef, useState, type PointerEvent } from 'react';

const LIMITS = { min: 0.25, max: 1.6 };
const held = (scale: number) => Math.min(LIMITS.max, Math.max(LIMITS.min, scale));

/** A pane whose content is moved by dragging its ground, and made larger and smaller with the wheel and Ctrl. */
export function usePanZoom() {
  const [pane, setPane] = useState<HTMLDivElement | null>(null);
  const [scale, setScale] = useState(1);
  const from = useRef<{ x: number; y: number; left: number; top: number } | null>(null);
  useEffect(() => {
    if (!pane) return;
    const onWheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      setScale((now) => held(now * Math.exp(-event.deltaY / 400)));
    };
    pane.addEventListener('wheel', onWheel, { passive: false });
    return () => pane.removeEventListener('wheel', onWheel);
  }, [pane]);
  const zoom = useCallback((by: number) => setScale((now) => held(now * by)), []);
  const drag = {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (event.button !== 0 || (event.target as Element).closest('a, button, article, input')) return;
      const { scrollLeft: left, scrollTop: top } = event.currentTarget;
      from.current = { x: event.clientX, y: event.clientY, left, top };
      event.currentTarget.setPointerCapture(event.pointerId);
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      const start = from.current;
      if (!start) return;
      event.currentTarget.scrollTo({
        left: start.left + start.x - event.clientX,
        top: start.top + start.y - event.clientY,
      });
    },
    onPointerUp: () => (from.current = null),
    onPointerCancel: () => (from.current = null),
  };
  return { pane: setPane, scale, zoom, drag };
}
