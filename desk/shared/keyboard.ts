import { useEffect } from 'react';
import { takesText } from './autosave/cursor';

export interface Shortcut {
  /** a key, "mod+z", "shift+mod+z", or two keys one after the other as "g p" */
  keys: string;
  words: string;
  run: () => void;
  /** what is typed next goes into a field that is about to open: no letter is a command meanwhile */
  opensField?: boolean;
}

const SEQUENCE_MS = 1_200;
/** So long after the last letter that was typed, letters are commands again. */
const AFTER_TYPING_MS = 1_000;
const KEPT = 'dispona.letters';

let typedAt = -Infinity;

window.addEventListener(
  'keydown',
  (event) => {
    if (takesText(event.target)) typedAt = event.timeStamp;
  },
  { capture: true },
);

/** Whether keys of one letter are commands in this browser. */
export const letterKeys = {
  areOn: () => localStorage.getItem(KEPT) !== 'off',
  set: (areOn: boolean) => localStorage.setItem(KEPT, areOn ? 'on' : 'off'),
};

/** A letter is a command only when nobody is typing: not into a field, and not into one that has just gone. */
export const isCommand = (event: { key: string; timeStamp: number }) =>
  event.key.length > 1 || (letterKeys.areOn() && event.timeStamp - typedAt > AFTER_TYPING_MS);

function nameOf(event: KeyboardEvent): string {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  const mod = event.metaKey || event.ctrlKey;
  if (!mod) return key;
  return `${event.shiftKey ? 'shift+' : ''}mod+${key}`;
}

/** The one place that listens for shortcuts. In a field every key belongs to what is typed, undo too. */
export function useShortcuts(shortcuts: readonly Shortcut[]): void {
  useEffect(() => {
    let before = { key: '', at: 0 };
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.altKey || takesText(event.target) || document.querySelector('[role="dialog"]')) return;
      const key = nameOf(event);
      const isMod = event.metaKey || event.ctrlKey;
      if (!isMod && !isCommand(event)) return;
      const sequence = event.timeStamp - before.at < SEQUENCE_MS ? `${before.key} ${key}` : '';
      const found = shortcuts.find(({ keys }) => keys === sequence) ?? shortcuts.find(({ keys }) => keys === key);
      before = { key, at: event.timeStamp };
      if (!found) return;
      event.preventDefault();
      event.stopPropagation();
      if (found.opensField) typedAt = event.timeStamp;
      found.run();
    };
    window.addEventListener('keydown', onKeyDown, { capture: true });
    return () => window.removeEventListener('keydown', onKeyDown, { capture: true });
  }, [shortcuts]);
}
