import { useQuery } from '@tanstack/react-query';
import { routes } from '../../../../contract';
import { call } from '../../../data/api';
import { OneOf } from '../../../shared/ui/one-of';

/** Turns the shop window to a page of each sort, so that a look is judged on all of them. */
export function WindowPages({ page, show }: { page: string; show: (page: string) => void }) {
  const { data } = useQuery({
    queryKey: ['goods', 'first'],
    queryFn: () => call(routes.shop.listing, { query: { at: 'all' } }),
  });
  const first = data?.items[0];
  const pages = [
    { value: '/', label: 'Home' },
    { value: '/search', label: 'A listing' },
    ...(first ? [{ value: `/p/${first.slug}`, label: 'A product' }] : []),
  ];
  return <OneOf label="Page in the shop window" choices={pages} value={page} choose={show} />;
}
