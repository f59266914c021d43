import { useQuery } from '@tanstack/react-query';
import { routes } from '../../../../contract';
import { call } from '../../../data/api';

/** Turns the shop window to a page of each sort, so that a look is judged on all of them. */
export function WindowPages({ page, show }: { page: string; show: (page: string) => void }) {
  const { data } = useQuery({
    queryKey: ['goods', 'first'],
    queryFn: () => call(routes.shop.listing, { query: { at: 'all' } }),
  });
  const first = data?.items[0];
  const pages = [
    { to: '/', name: 'Home' },
    { to: '/search', name: 'A listing' },
    ...(first ? [{ to: `/p/${first.slug}`, name: 'A product' }] : []),
  ];
  return (
    <div className="flex flex-wrap items-center gap-1.5" role="group" aria-label="Page in the shop window">
      <span className="mr-1 text-ink-2">In the shop window:</span>
      {pages.map(({ to, name }) => (
        <button
          key={to}
          type="button"
          aria-pressed={page === to}
          onClick={() => show(to)}
          className="rounded-lg bg-sunk px-2.5 py-1 hover:bg-line aria-pressed:bg-ink aria-pressed:text-sheet"
        >
          {name}
        </button>
      ))}
    </div>
  );
}
