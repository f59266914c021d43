import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { AnswerOf, BodyInput } from '../../contract/route';
import { call } from './api';

const KEY = ['set-up'];

export type SetUpList = AnswerOf<typeof routes.setUp.list>;

export const isSetUp = ({ steps }: SetUpList): boolean => steps.every(({ state }) => state !== 'open');

const query = { queryKey: KEY, queryFn: () => call(routes.setUp.list) };

/** What is done of setting the shop up, and what is left. */
export const useSetUp = () => useQuery(query);

/** The same for what stands on every screen: a shop that is set up is not asked about at each change any more. */
export const useSetUpUntilDone = () =>
  useQuery({ ...query, enabled: ({ state: { data } }: { state: { data?: SetUpList } }) => !data || !isSetUp(data) });

export function useSetUpWrites() {
  const client = useQueryClient();
  const onSuccess = (list: SetUpList) => client.setQueryData(KEY, list);
  return {
    skip: useMutation({
      mutationFn: (body: BodyInput<typeof routes.setUp.skip>) => call(routes.setUp.skip, { body }),
      onSuccess,
    }),
    addExamples: useMutation({ mutationFn: () => call(routes.setUp.addExamples), onSuccess }),
    removeExamples: useMutation({ mutationFn: () => call(routes.setUp.removeExamples), onSuccess }),
  };
}
