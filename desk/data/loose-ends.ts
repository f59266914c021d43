import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { looseEndRoutes as routes } from '../../contract/loose-ends';
import type { BodyInput } from '../../contract/route';
import { call } from './api';

export type { LooseCheck, LooseEndRow } from '../../contract/loose-ends';

const KEY = 'loose-ends';

export const useLooseEnds = () => useQuery({ queryKey: [KEY], queryFn: () => call(routes.all) });

/** How many there are. It costs a look at the whole shop, so it is asked seldom. */
export const useLooseCount = () =>
  useQuery({ queryKey: [KEY, 'count'], queryFn: () => call(routes.count), staleTime: 60_000 });

export function useLooseWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: [KEY] });
  return {
    putAside: useMutation({
      mutationFn: (body: BodyInput<typeof routes.putAside>) => call(routes.putAside, { body }),
      onSuccess,
    }),
    takeUp: useMutation({
      mutationFn: (body: BodyInput<typeof routes.takeUp>) => call(routes.takeUp, { body }),
      onSuccess,
    }),
  };
}
