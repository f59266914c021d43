import { useMemo, useSyncExternalStore } from 'react';
import { z } from 'zod';
import { ruleSchema } from '../../core/model/rule';

const KEY = 'dispona.tray';

const trayShape = z.object({
  ids: z.array(z.string()),
  /** goods that are in the tray for as long as they match; `words` say which */
  matching: z.object({ text: z.string(), rule: ruleSchema, words: z.string() }).nullable(),
});
export type TrayContent = z.infer<typeof trayShape>;

const EMPTY: TrayContent = { ids: [], matching: null };
const listeners = new Set<() => void>();
let content: TrayContent = read();

function read(): TrayContent {
  try {
    const stored: unknown = JSON.parse(localStorage.getItem(KEY) ?? 'null');
    // A list alone is how it was kept at first.
    return Array.isArray(stored) ? { ids: stored.map(String), matching: null } : trayShape.parse(stored);
  } catch {
    return EMPTY;
  }
}

function write(next: TrayContent): void {
  content = next;
  localStorage.setItem(KEY, JSON.stringify(next));
  for (const listener of listeners) listener();
}

const setIds = (ids: readonly string[]) => write({ ...content, ids: [...ids] });

/** Goods picked up, kept between desks and reloads of this browser. */
export const tray = {
  toggle: (id: string) =>
    setIds(content.ids.includes(id) ? content.ids.filter((each) => each !== id) : [...content.ids, id]),
  add: (more: readonly string[]) => setIds([...new Set([...content.ids, ...more])]),
  drop: (gone: readonly string[]) => {
    const left = new Set(gone);
    setIds(content.ids.filter((id) => !left.has(id)));
  },
  /** Holds whatever matches, instead of what matched until now. */
  keepMatching: (matching: NonNullable<TrayContent['matching']>) => write({ ...content, matching }),
  /** Holds just these. */
  freeze: (ids: readonly string[]) => write({ ids: [...ids], matching: null }),
  empty: () => write(EMPTY),
};

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  const onStorage = (event: StorageEvent) => {
    if (event.key !== KEY) return;
    content = read();
    listener();
  };
  window.addEventListener('storage', onStorage);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', onStorage);
  };
}

export function useTrayContent(): TrayContent {
  return useSyncExternalStore(subscribe, () => content);
}

/** Ids of the goods that were picked one by one, or all at once. */
export function useTray(): readonly string[] {
  return useTrayContent().ids;
}

/** The goods of the tray as the server is told of them. */
export function useTrayWhich() {
  const { ids, matching } = useTrayContent();
  return useMemo(() => ({ ids, matching: matching && { text: matching.text, rule: matching.rule } }), [ids, matching]);
}
