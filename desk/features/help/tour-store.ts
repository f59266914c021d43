import { useSyncExternalStore } from 'react';
import { z } from 'zod';

const KEY = 'dispona.tour';

const shape = z.object({
  before: z.object({ products: z.number(), collections: z.number(), edition: z.number() }),
  done: z.array(z.string()),
});
export type Tour = z.infer<typeof shape>;

function read(): Tour | null {
  try {
    return shape.nullable().parse(JSON.parse(localStorage.getItem(KEY) ?? 'null'));
  } catch {
    return null;
  }
}

let current = read();
const listeners = new Set<() => void>();

/** The tour that is under way in this browser; null while there is none. It goes on after a reload. */
export const tourStore = {
  get: (): Tour | null => current,
  set: (next: Tour | null): void => {
    current = next;
    if (next) localStorage.setItem(KEY, JSON.stringify(next));
    else localStorage.removeItem(KEY);
    for (const listener of listeners) listener();
  },
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
};

export const useTour = (): Tour | null => useSyncExternalStore(tourStore.subscribe, tourStore.get);
