import { useEffect } from 'react';

export interface Shortcut {
  /** a key, "mod+z", "shift+mod+z", or two keys one after the other as "g p" */
  keys: string;
  words: string;
  run: () => void;
  /** also while something is being typed, unless it is not saved yet */
  whileTyping?: boolean;
}

const SEQUENCE_MS = 1_200;

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

const isUnsaved = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('[data-unsaved]') !== null;

function nameOf(event: KeyboardEvent): string {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  const mod = event.metaKey || event.ctrlKey;
  if (!mod) return key;
  return `${event.shiftKey ? 'shift+' : ''}mod+${key}`;
}

/** The one place that listens for shortcuts. */
export function useShortcuts(shortcuts: readonly Shortcut[]): void {
  useEffect(() => {
    let before = { key: '', at: 0 };
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.altKey || document.querySelector('[role="dialog"]')) return;
      const key = nameOf(event);
      const typing = isTyping(event.target);
      const sequence = event.timeStamp - before.at < SEQUENCE_MS ? `${before.key} ${key}` : '';
      const found = shortcuts.find(
        ({ keys, whileTyping }) =>
          (keys === key || keys === sequence) && (!typing || (whileTyping && !isUnsaved(event.target))),
      );
      before = { key, at: event.timeStamp };
      if (!found) return;
      event.preventDefault();
      event.stopPropagation();
      found.run();
    };
    window.addEventListener('keydown', onKeyDown, { capture: true });
    return () => window.removeEventListener('keydown', onKeyDown, { capture: true });
  }, [shortcuts]);
}
