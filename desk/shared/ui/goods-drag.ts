import { useEffect, useState, useSyncExternalStore, type DragEvent } from 'react';
import { useEvent } from './use-event';

const TYPE = 'application/x-dispona-goods';
const MARK = 'data-takes-goods';

type Take = (ids: string[]) => void;

/** Goods that are being dragged by a pointer of the desk's own, as along a shelf; where they are over. */
let carried: { over: string | null } | null = null;
const targets = new Map<string, Take>();
const listeners = new Set<() => void>();
let last = 0;

function tell(): void {
  for (const listener of listeners) listener();
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** The nearest place at a point that takes goods, but for those that `from` stands in. */
function targetAt(x: number, y: number, from: Element | null): string | null {
  for (const element of document.elementsFromPoint(x, y)) {
    const target = element.closest(`[${MARK}]`);
    if (target && !(from && target.contains(from))) return target.getAttribute(MARK);
  }
  return null;
}

/** Goods dragged off a place that puts them in order itself: wherever else they are let go, that place takes them. */
export const carriedGoods = {
  begin: (): void => {
    carried = { over: null };
    tell();
  },
  move: (x: number, y: number, from: Element | null): void => {
    const over = targetAt(x, y, from);
    if (!carried || carried.over === over) return;
    carried = { over };
    tell();
  },
  /** ends it; true when a place took the goods */
  end: (ids: string[] | null): boolean => {
    const take = carried?.over ? targets.get(carried.over) : undefined;
    carried = null;
    tell();
    if (ids && take) take(ids);
    return take !== undefined;
  },
};

/** Lets something be dragged that stands for goods: onto the tray, a category, a shelf. */
export const dragsGoods = (ids: () => readonly string[]) => ({
  draggable: true,
  onDragStart: (event: DragEvent) => {
    event.dataTransfer.setData(TYPE, JSON.stringify(ids()));
    event.dataTransfer.effectAllowed = 'copy' as const;
  },
});

export const areGoods = (event: { dataTransfer: DataTransfer | null }) =>
  event.dataTransfer?.types.includes(TYPE) ?? false;

/** Takes goods that are dropped; `isOver` while they hover. */
export function useGoodsDrop(take: Take) {
  const [isOver, setOver] = useState(false);
  const [key] = useState(() => `t${(last += 1)}`);
  const isCarriedOver = useSyncExternalStore(subscribe, () => carried?.over === key);
  const takeNow = useEvent(take);
  useEffect(() => {
    targets.set(key, takeNow);
    return () => void targets.delete(key);
  }, [key, takeNow]);
  return {
    isOver: isOver || isCarriedOver,
    props: {
      [MARK]: key,
      onDragOver: (event: DragEvent) => {
        if (!areGoods(event)) return;
        event.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event: DragEvent) => {
        setOver(false);
        if (!areGoods(event)) return;
        event.preventDefault();
        const ids: unknown = JSON.parse(event.dataTransfer.getData(TYPE) || '[]');
        if (Array.isArray(ids)) take(ids.map(String));
      },
    },
  };
}

/** True while goods are being dragged anywhere, so that places that take them can come out. */
export function useGoodsAreDragged(): boolean {
  const [areDragged, setDragged] = useState(false);
  const areCarried = useSyncExternalStore(subscribe, () => carried !== null);
  useEffect(() => {
    // What comes out at once below the pointer would end the drag that has just begun.
    const begin = (event: globalThis.DragEvent) => {
      if (areGoods(event)) setTimeout(() => setDragged(true));
    };
    const end = () => setTimeout(() => setDragged(false));
    window.addEventListener('dragstart', begin);
    window.addEventListener('dragend', end);
    window.addEventListener('drop', end);
    return () => {
      window.removeEventListener('dragstart', begin);
      window.removeEventListener('dragend', end);
      window.removeEventListener('drop', end);
    };
  }, []);
  return areDragged || areCarried;
}
