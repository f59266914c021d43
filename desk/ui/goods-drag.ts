import { useState, type DragEvent } from 'react';

const TYPE = 'application/x-dispona-goods';

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
export function useGoodsDrop(take: (ids: string[]) => void) {
  const [isOver, setOver] = useState(false);
  return {
    isOver,
    props: {
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
