import type { Typed } from '../../../contract/shop-window';

const drafts = new Map<object, Typed>();
const listeners = new Set<() => void>();

function tell(): void {
  for (const listener of listeners) listener();
}

/** What is being typed and is not saved yet, for the shop window to draw. Whoever types tells it under a key of its own. */
export const typedDrafts = {
  set: (holder: object, typed: Typed | null): void => {
    if (typed) drafts.set(holder, typed);
    else if (!drafts.delete(holder)) return;
    tell();
  },
  all: (): readonly Typed[] => [...drafts.values()],
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
};
