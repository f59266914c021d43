import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { todayRoutes as routes } from '../../contract/today';
import { call } from './api';

export type { Today } from '../../contract/today';

const KEY = 'today';

export const useToday = (days: number) =>
  useQuery({
    queryKey: [KEY, days],
    queryFn: () => call(routes.today, { query: { days } }),
    placeholderData: keepPreviousData,
  });

export function useLooked() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => call(routes.looked),
    onSuccess: () => client.invalidateQueries({ queryKey: [KEY] }),
  });
}
