import { useInfiniteQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { routes } from '../../../contract';
import { call } from '../../data/api';
import { Button } from '../../shared/ui/button';
import { Empty, Failed, Loading } from '../../shared/ui/states';
import { ChangeLine } from '../../shared/change-line';
import { useTitle } from '../../shared/ui/use-title';

const LIMIT = 40;

/** All that was changed, newest first, day by day; any change can be taken back from here. */
export function HistoryPage() {
  useTitle('History');
  const { data, error, refetch, fetchNextPage, hasNextPage, isFetchingNextPage } = useInfiniteQuery({
    queryKey: ['history'],
    queryFn: ({ pageParam }) => call(routes.history.all, { query: { limit: LIMIT, before: pageParam } }),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: ({ changes }) => (changes.length === LIMIT ? changes.at(-1)!.id : undefined),
  });
  if (error && !data) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading rows={6} />;
  const changes = data.pages.flatMap((page) => page.changes);
  const days = new Map<string, typeof changes>();
  for (const change of changes) {
    const day = format(new Date(change.at), 'EEEE d MMMM');
    days.set(day, [...(days.get(day) ?? []), change]);
  }
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-5">
      <h1 className="font-display text-2xl font-bold">History</h1>
      <p className="mb-4 mt-0.5 text-ink-2">
        Every change of the working copy. One that nothing later touched can be taken back by itself, whoever made it.
      </p>
      {changes.length === 0 ? (
        <Empty title="Nothing changed yet">Whatever is changed from now on is listed here.</Empty>
      ) : (
        [...days].map(([day, of]) => (
          <section key={day} className="mb-5 max-w-3xl">
            <h2 className="mb-1.5 font-display text-[15px] font-bold">{day}</h2>
            <ul className="sheet px-4">
              {of.map((change) => (
                <ChangeLine key={change.id} change={change} />
              ))}
            </ul>
          </section>
        ))
      )}
      {hasNextPage && (
        <Button disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
          Further back
        </Button>
      )}
    </div>
  );
}
