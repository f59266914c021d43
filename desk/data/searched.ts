import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { BodyInput } from '../../contract/route';
import { searchedRoutes } from '../../contract/searched';
import { call } from './api';

export type { BroughtForward, SearchedRow } from '../../contract/searched';

export const useSearched = (days: number, nothing: boolean) =>
  useQuery({
    queryKey: ['searched', days, nothing],
    queryFn: ({ signal }) =>
      call(searchedRoutes.searched, { query: { days, nothing: nothing ? 'true' : 'false' }, signal }),
    placeholderData: keepPreviousData,
  });

export const useForwards = (q: string, offset: number) =>
  useQuery({
    queryKey: ['forwards', q, offset],
    queryFn: ({ signal }) => call(searchedRoutes.forwards, { query: { q, offset }, signal }),
    placeholderData: keepPreviousData,
  });

export const useMissed = () =>
  useQuery({ queryKey: ['forwards', 'missed'], queryFn: ({ signal }) => call(searchedRoutes.missed, { signal }) });

export function useSearchedWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['searched'] });
  return {
    same: useMutation({
      mutationFn: (body: BodyInput<typeof searchedRoutes.same>) => call(searchedRoutes.same, { body }),
      onSuccess,
    }),
    lead: useMutation({
      mutationFn: (body: BodyInput<typeof searchedRoutes.lead>) => call(searchedRoutes.lead, { body }),
      onSuccess,
    }),
  };
}

export function useForwardWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['forwards'] });
  return {
    set: useMutation({
      mutationFn: (body: BodyInput<typeof searchedRoutes.setForward>) => call(searchedRoutes.setForward, { body }),
      onSuccess,
    }),
    drop: useMutation({
      mutationFn: (path: string) => call(searchedRoutes.dropForward, { body: { path } }),
      onSuccess,
    }),
    bring: useMutation({ mutationFn: (text: string) => call(searchedRoutes.bringForwards, { body: { text } }) }),
    take: useMutation({
      mutationFn: (body: BodyInput<typeof searchedRoutes.takeForwards>) => call(searchedRoutes.takeForwards, { body }),
      onSuccess,
    }),
    forget: useMutation({
      mutationFn: (path: string) => call(searchedRoutes.forgetMissed, { body: { path } }),
      onSuccess,
    }),
  };
}
