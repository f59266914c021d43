import { routes } from '../../../contract';
import { call } from '../../data/api';
import { count } from '../../shared/ui/count';
import { useJobs } from '../../data/bulk';
import { tellRefused } from '../../data/tell-refused';

/** Long work that is under way: how far it is, and a way to stop it. It goes on while one works elsewhere. */
export function JobStrip() {
  const { data } = useJobs();
  const running = (data?.jobs ?? []).filter(({ state }) => state === 'running' || state === 'waiting');
  const stop = (id: string) => call(routes.bulk.cancel, { params: { id } }).catch(tellRefused);
  return (
    <>
      {running.map(({ id, label, done, total, state }) => (
        <section
          key={id}
          aria-label="Work under way"
          className="flex items-center gap-3 border-t border-line bg-marigold-soft px-4 py-1.5"
        >
          <span className="font-semibold">{label}</span>
          <progress value={done} max={total || 1} aria-label={label} className="h-2 w-56 accent-petrol" />
          <span className="text-ink-2">
            {state === 'waiting'
              ? 'waits for other work'
              : total === 0
                ? 'getting ready …'
                : done < total
                  ? `${count(done)} of ${count(total)}`
                  : 'being taken up everywhere …'}
          </span>
          {(state === 'waiting' || done < total) && (
            <button
              type="button"
              onClick={() => void stop(id)}
              className="ml-auto font-medium text-rose-ink hover:underline"
            >
              Stop it
            </button>
          )}
        </section>
      ))}
    </>
  );
}
