import { GripVertical, Plus } from 'lucide-react';
import { useCallback, useEffect, useLayoutEffect, useState, type PointerEvent } from 'react';
import { createPortal } from 'react-dom';
import type { BuildingMessage } from '../../contract/shop-window';
import { tellDesk } from './use-building';

const GOODS = 'application/x-dispona-goods';

interface Box {
  id: string;
  top: number;
  left: number;
  width: number;
  height: number;
}

const elements = () => [...document.querySelectorAll<HTMLElement>('[data-section]')];

function boxes(): Box[] {
  return elements().map((element) => {
    const { top, left, width, height } = element.getBoundingClientRect();
    return { id: element.dataset.section!, top: top + window.scrollY, left: left + window.scrollX, width, height };
  });
}

const sectionAt = (target: EventTarget | null) =>
  target instanceof Element ? target.closest<HTMLElement>('[data-section]') : null;

/** The place before which something is let go: among the sections, by the middle of each. */
function placeAt(all: readonly Box[], y: number): number {
  const after = all.findIndex(({ top, height }) => y < top + height / 2);
  return after < 0 ? all.length : after;
}

/**
 * What lies over a page that is being built: outlines of the section that is pointed at and of the one that is chosen, a plus
 * between sections, a grip to drag by. Links do not lead away.
 */
export default function BuildingLayer({ building, drawn }: { building: BuildingMessage; drawn: unknown }) {
  const [all, setAll] = useState<Box[]>([]);
  const [pointed, setPointed] = useState<string | null>(null);
  const [dropAt, setDropAt] = useState<number | null>(null);
  const [goodsOver, setGoodsOver] = useState<string | null>(null);
  const measure = useCallback(() => setAll(boxes()), []);
  const chosen = building.chosen?.id ?? null;

  useEffect(() => {
    document.body.toggleAttribute('data-being-built', true);
    const observer = new ResizeObserver(measure);
    observer.observe(document.body);
    window.addEventListener('load', measure, true);
    return () => {
      observer.disconnect();
      window.removeEventListener('load', measure, true);
    };
  }, [measure]);

  useEffect(() => {
    const onMove = (event: MouseEvent) => setPointed(sectionAt(event.target)?.dataset.section ?? null);
    const onLeave = () => setPointed(null);
    const onClick = (event: MouseEvent) => {
      const section = sectionAt(event.target);
      const link = (event.target as Element).closest('a');
      if (link && !event.ctrlKey && !event.metaKey) event.preventDefault();
      if (section) tellDesk({ dispona: 'chose', id: section.dataset.section! });
    };
    const onKey = (event: KeyboardEvent) => {
      const isTyping = (event.target as HTMLElement).isContentEditable || event.target instanceof HTMLInputElement;
      if (isTyping) return;
      const isUndo = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z';
      // Letters are no commands here: who has just typed on the page may be typing on.
      if (!isUndo) return;
      event.preventDefault();
      tellDesk({ dispona: 'undo', again: event.shiftKey });
    };
    const onDragOver = (event: DragEvent) => {
      if (!event.dataTransfer?.types.includes(GOODS)) return;
      event.preventDefault();
      setGoodsOver(sectionAt(event.target)?.dataset.section ?? null);
    };
    const onDrop = (event: DragEvent) => {
      setGoodsOver(null);
      const id = sectionAt(event.target)?.dataset.section;
      if (!id || !event.dataTransfer?.types.includes(GOODS)) return;
      event.preventDefault();
      const products: unknown = JSON.parse(event.dataTransfer.getData(GOODS) || '[]');
      if (Array.isArray(products)) tellDesk({ dispona: 'dropped', id, products: products.map(String) });
    };
    document.addEventListener('mousemove', onMove);
    document.addEventListener('mouseleave', onLeave);
    document.addEventListener('click', onClick, true);
    document.addEventListener('keydown', onKey);
    document.addEventListener('dragover', onDragOver);
    document.addEventListener('drop', onDrop);
    return () => {
      document.removeEventListener('mousemove', onMove);
      document.removeEventListener('mouseleave', onLeave);
      document.removeEventListener('click', onClick, true);
      document.removeEventListener('keydown', onKey);
      document.removeEventListener('dragover', onDragOver);
      document.removeEventListener('drop', onDrop);
    };
  }, []);

  // Only the chosen section shows where more could be typed: the others stand as shoppers see them.
  useLayoutEffect(() => {
    for (const element of elements()) element.toggleAttribute('data-chosen', element.dataset.section === chosen);
    measure();
  }, [chosen, drawn, measure]);

  // The section that was chosen in the desk comes into sight.
  useEffect(() => {
    const element = elements().find(({ dataset }) => dataset.section === chosen);
    const box = element?.getBoundingClientRect();
    if (element && box && (box.bottom < 60 || box.top > window.innerHeight - 60))
      element.scrollIntoView({ block: 'center', behavior: 'smooth' });
  }, [chosen]);

  const drag = (id: string) => ({
    onPointerDown: (event: PointerEvent<HTMLElement>) => event.currentTarget.setPointerCapture(event.pointerId),
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      if (event.buttons === 1) setDropAt(placeAt(all, event.clientY + window.scrollY));
    },
    onPointerUp: () => {
      if (dropAt !== null) tellDesk({ dispona: 'moved', id, to: dropAt });
      setDropAt(null);
    },
    onPointerCancel: () => setDropAt(null),
  });
  const edges = all.length === 0 ? [] : [...all.map(({ top }) => top), all.at(-1)!.top + all.at(-1)!.height];
  const near = new Set(all.flatMap(({ id }, i) => (id === pointed || id === chosen ? [i, i + 1] : [])));
  return createPortal(
    <div className="building" data-building>
      {all.map(({ id, ...place }) => {
        const isChosen = id === chosen;
        if (!isChosen && id !== pointed && id !== goodsOver) return null;
        return (
          <div key={id} className={`building-outline ${isChosen || id === goodsOver ? 'is-chosen' : ''}`} style={place}>
            {(isChosen || id === pointed) && (
              <span className={`building-label ${place.top < 80 ? 'is-inside' : ''}`}>
                <button
                  type="button"
                  aria-label={`Move ${building.names[id] ?? 'this section'}: drag`}
                  className="building-grip"
                  {...drag(id)}
                >
                  <GripVertical size={22} aria-hidden="true" />
                </button>
                {building.names[id] ?? ''}
              </span>
            )}
          </div>
        );
      })}
      {edges.map((top, i) =>
        near.has(i) ? (
          <button
            key={i}
            type="button"
            aria-label="Add a section here"
            title="Add a section here"
            className="building-plus"
            style={{ top }}
            onClick={() => tellDesk({ dispona: 'add at', at: i })}
          >
            <Plus size={22} aria-hidden="true" />
          </button>
        ) : null,
      )}
      {dropAt !== null && <div className="building-drop" style={{ top: edges[dropAt] }} />}
    </div>,
    document.body,
  );
}
