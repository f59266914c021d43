import { useQueryClient, type QueryClient, type QueryKey } from '@tanstack/react-query';
import { useEffect } from 'react';
import { toast } from 'sonner';
import type { Job } from '../../contract/bulk';
import { refreshOf, type Told } from './what-changed';

type Listener = () => void;
const redrawListeners = new Set<Listener>();

/** Calls back whenever the working copy or the live edition changed. */
export function onShopChanged(listener: Listener): () => void {
  redrawListeners.add(listener);
  return () => void redrawListeners.delete(listener);
}

/**
 * Has one query read again: at once where it is on the screen, or when it is next shown. A first answer that is
 * still under way may have been made before the change, and the library would take it for a fresh one: it is
 * awaited, and then read again.
 */
export async function readAgain(client: QueryClient, queryKey: QueryKey, refetchType: 'active' | 'none') {
  const query = client.getQueryCache().find({ queryKey, exact: true });
  if (query?.state.data === undefined && query?.state.fetchStatus === 'fetching')
    await query.fetch().catch(() => undefined);
  await client.invalidateQueries({ queryKey, exact: true, refetchType });
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
    source.addEventListener('changed', ({ data }: MessageEvent<string>) => {
      const told = JSON.parse(data) as Told;
      for (const query of client.getQueryCache().getAll()) {
        const { revision } = (query.state.data ?? {}) as { revision?: number };
        const what = refreshOf(told, query.queryKey, revision);
        if (what === 'none') continue;
        void readAgain(client, query.queryKey, what === 'now' ? 'active' : 'none');
      }
      for (const listener of redrawListeners) listener();
    });
    source.addEventListener('edition', refresh);
    source.addEventListener('presence', () => void client.invalidateQueries({ queryKey: ['presence'] }));
    source.addEventListener('job', ({ data }: MessageEvent<string>) => {
      const job = JSON.parse(data) as Job;
      client.setQueryData<{ jobs: Job[] }>(['jobs'], (before) => ({
        jobs: [...(before?.jobs ?? []).filter(({ id }) => id !== job.id), job],
      }));
      if (job.state === 'done') toast(job.outcome, { description: 'Ctrl + Z takes it back.' });
      else if (job.state === 'failed') toast.error(job.outcome, { description: job.label });
      else if (job.state === 'cancelled') toast(job.outcome, { description: job.label });
    });
    source.onerror = () => (wasLost = true);
    source.onopen = () => {
      if (wasLost) refresh();
      wasLost = false;
    };
    return () => source.close();
  }, [client]);
}
