import { useEffect, useState } from 'react';
import { useEvent } from './use-event';

interface Taker {
  accepts: (file: File) => boolean;
  take: (files: File[]) => void;
}

const takers: Taker[] = [];
const overListeners = new Set<(isOver: boolean) => void>();
const hasFiles = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false;

// Wherever a file is dropped, the browser does not leave the page for it.
window.addEventListener('dragover', (event) => {
  if (!hasFiles(event)) return;
  event.preventDefault();
  for (const tell of overListeners) tell(true);
});
window.addEventListener('dragleave', (event) => {
  if (event.relatedTarget === null) for (const tell of overListeners) tell(false);
});
window.addEventListener('drop', (event) => {
  if (!hasFiles(event)) return;
  for (const tell of overListeners) tell(false);
  // A field that takes files itself has done so.
  if (event.defaultPrevented) return;
  event.preventDefault();
  let left = [...(event.dataTransfer?.files ?? [])];
  for (const { accepts, take } of takers) {
    const mine = left.filter(accepts);
    left = left.filter((file) => !mine.includes(file));
    if (mine.length > 0) take(mine);
  }
});

export const isPicture = (file: File) => file.type.startsWith('image/');

/** Takes files that are dropped anywhere on the page, as long as this part of it is shown; true while they hover. */
export function useFileDrop(accepts: (file: File) => boolean, take: (files: File[]) => void): boolean {
  const [isOver, setOver] = useState(false);
  const acceptsNow = useEvent(accepts);
  const takeNow = useEvent(take);
  useEffect(() => {
    const taker = { accepts: acceptsNow, take: takeNow };
    takers.push(taker);
    overListeners.add(setOver);
    return () => {
      takers.splice(takers.indexOf(taker), 1);
      overListeners.delete(setOver);
    };
  }, [acceptsNow, takeNow]);
  return isOver;
}
