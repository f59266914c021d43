import { useEffect } from 'react';
import { useEvent } from './use-event';

/** Undo of what is on screen and not saved yet; each answers whether it had something to take back or do again. */
export interface LocalUndo {
  undo: () => boolean;
  redo: () => boolean;
}

const owners: LocalUndo[] = [];

/** Whoever holds unsaved work decides first what undo means. */
export const localUndo: LocalUndo = {
  undo: () => owners.some((owner) => owner.undo()),
  redo: () => owners.some((owner) => owner.redo()),
};

/** Undo belongs to this screen as long as it has something of its own to undo. */
export function useLocalUndo({ undo, redo }: LocalUndo): void {
  const latest = { undo: useEvent(undo), redo: useEvent(redo) };
  const { undo: undoNow, redo: redoNow } = latest;
  useEffect(() => {
    const owner = { undo: undoNow, redo: redoNow };
    owners.unshift(owner);
    return () => void owners.splice(owners.indexOf(owner), 1);
  }, [undoNow, redoNow]);
}
