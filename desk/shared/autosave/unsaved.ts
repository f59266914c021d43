import { useCallback, useEffect, useRef, useSyncExternalStore } from 'react';

/** Something on screen that is not saved: a form that saves itself, or a field whose text cannot be read. */
export interface Unsaved {
  /** why it cannot be saved, in words; empty while nothing is wrong */
  problems: readonly string[];
  /** what is not saved, by the names of its fields, for others who work at the same */
  fields?: readonly string[];
  /** saved as soon as the server answers: leaving only has to wait for it */
  isOnItsWay: boolean;
  /** brings it to the server at once */
  flush?: () => void;
}

const holders = new Map<object, Unsaved>();
const listeners = new Set<() => void>();
let problems: readonly string[] = [];

function tell(): void {
  const next = [...holders.values()].flatMap((each) => each.problems);
  if (next.length !== problems.length || next.some((words, i) => words !== problems[i])) problems = next;
  for (const listener of listeners) listener();
}

/** Everything on screen that is not saved, in one place: whoever leaves asks here. */
export const unsaved = {
  set: (holder: object, state: Unsaved): void => {
    holders.set(holder, state);
    tell();
  },
  clear: (holder: object): void => {
    if (holders.delete(holder)) tell();
  },
  fields: (): readonly string[] => [...holders.values()].flatMap(({ fields = [] }) => fields),
  isAny: (): boolean => holders.size > 0,
  isStuck: (): boolean => [...holders.values()].some(({ isOnItsWay }) => !isOnItsWay),
  problems: (): readonly string[] => problems,
  flush: (): void => {
    for (const { flush } of [...holders.values()]) flush?.();
  },
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
};

const PATIENCE_MS = 4_000;

/** Ends what is being typed: fields that save when they are left do so, and all of it goes out at once. */
export function endTyping(): void {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  unsaved.flush();
}

/**
 * Ends what is being typed and waits until all of it is saved. True when nothing is left to lose; false as soon as something
 * is refused, or when the server does not answer in time.
 */
export function everythingSaved(): Promise<boolean> {
  endTyping();
  return new Promise((resolve) => {
    const end = (isSaved: boolean) => {
      clearTimeout(timer);
      stop();
      resolve(isSaved);
    };
    const look = () => {
      if (!unsaved.isAny()) end(true);
      else if (unsaved.isStuck()) end(false);
    };
    const stop = unsaved.subscribe(look);
    const timer = setTimeout(() => end(!unsaved.isAny()), PATIENCE_MS);
    look();
  });
}

/** Tells what of this part of the screen is not saved; nothing any more once it is gone, whatever still arrives for it. */
export function useUnsaved(): (state: Unsaved | null) => void {
  const holder = useRef({});
  const isShown = useRef(false);
  useEffect(() => {
    const gone = holder.current;
    isShown.current = true;
    return () => {
      isShown.current = false;
      unsaved.clear(gone);
    };
  }, []);
  return useCallback((state) => {
    if (state && isShown.current) unsaved.set(holder.current, state);
    else unsaved.clear(holder.current);
  }, []);
}

/** Why what is on screen cannot be saved, in words. */
export const useProblems = () => useSyncExternalStore(unsaved.subscribe, unsaved.problems);

window.addEventListener('beforeunload', (event) => {
  if (unsaved.isAny()) event.preventDefault();
});
