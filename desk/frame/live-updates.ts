import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';

type Listener = () => void;
const redrawListeners = new Set<Listener>();

/** Calls back whenever the working copy or the live edition changed. */
export function onShopChanged(listener: Listener): () => void {
  redrawListeners.add(listener);
  return () => void redrawListeners.delete(listener);
}

/** Listens to the server and refreshes what the desk shows, in this tab and in every other. */
export function useLiveUpdates(): void {
  const client = useQueryClient();
  useEffect(() => {
    const source = new EventSource('/api/events');
    const refresh = () => {
      void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
      for (const listener of redrawListeners) listener();
    };
    let wasLost = false;
    source.addEventListener('changed', refresh);
    source.addEventListener('edition', refresh);
    source.onerror = () => (wasLost = true);
    source.onopen = () => {
      if (wasLost) refresh();
      wasLost = false;
    };
    return () => source.close();
  }, [client]);
}
