import { useSyncExternalStore } from 'react';

const KEY = 'dispona.tray';
const listeners = new Set<() => void>();
let ids: readonly string[] = read();

function read(): readonly string[] {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(stored) ? stored.filter((id) => typeof id === 'string') : [];
  } catch {
    return [];
  }
}

function write(next: readonly string[]): void {
  ids = next;
  localStorage.setItem(KEY, JSON.stringify(next));
  for (const listener of listeners) listener();
}

/** Goods picked up, kept between desks and reloads of this browser. */
export const tray = {
  toggle: (id: string) => write(ids.includes(id) ? ids.filter((each) => each !== id) : [...ids, id]),
  add: (more: readonly string[]) => write([...new Set([...ids, ...more])]),
  drop: (gone: readonly string[]) => write(ids.filter((id) => !gone.includes(id))),
  empty: () => write([]),
};

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  const onStorage = (event: StorageEvent) => {
    if (event.key !== KEY) return;
    ids = read();
    listener();
  };
  window.addEventListener('storage', onStorage);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', onStorage);
  };
}

export function useTray(): readonly string[] {
  return useSyncExternalStore(subscribe, () => ids);
}
