import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { publishingRoutes as routes } from '../../contract/publishing';
import type { AnswerOf, BodyInput } from '../../contract/route';
import { call } from './api';
import { tellRefused } from './tell-refused';

export type { Edition, Held, PlannedEdition } from '../../contract/publishing';
export type Review = AnswerOf<typeof routes.review>;
export type KeepRule = NonNullable<AnswerOf<typeof routes.editions>['keep']>;
export type ReviewedChange = Review['changes'][number];
type DocumentKey = BodyInput<typeof routes.takeBack>;

export const useReview = () => useQuery({ queryKey: ['review'], queryFn: () => call(routes.review) });

/** How many goods changed, and which share of visits sees some of them. Worked out apart: it may take a moment. */
export const useReach = (isWanted: boolean) =>
  useQuery({ queryKey: ['review', 'reach'], queryFn: () => call(routes.reach), enabled: isWanted });

export type Moment = AnswerOf<typeof routes.moments>['moments'][number];

/** What begins or ends by the clock within so many days before and after today. */
export const useMoments = (days: number) =>
  useQuery({ queryKey: ['moments', days], queryFn: () => call(routes.moments, { query: { days } }) });

export const useEditions = () => useQuery({ queryKey: ['editions'], queryFn: () => call(routes.editions) });

export const useCompared = (from: number, to: number) =>
  useQuery({
    queryKey: ['editions', from, to],
    queryFn: () => call(routes.compare, { params: { number: String(from) }, query: { to } }),
  });

export function useEditionWrites() {
  const client = useQueryClient();
  const options = {
    onSuccess: () => client.invalidateQueries(),
    onError: tellRefused,
  };
  const numbered = (number: number) => ({ params: { number: String(number) } });
  return {
    putLive: useMutation({
      mutationFn: (body: BodyInput<typeof routes.putLive>) => call(routes.putLive, { body }),
      ...options,
    }),
    goBack: useMutation({ mutationFn: (number: number) => call(routes.goBack, numbered(number)), ...options }),
    edit: useMutation({
      mutationFn: ({ number, ...body }: BodyInput<typeof routes.editEdition> & { number: number }) =>
        call(routes.editEdition, { ...numbered(number), body }),
      ...options,
    }),
    bringBack: useMutation({
      mutationFn: ({ number, ...body }: DocumentKey & { number: number }) =>
        call(routes.bringBack, { ...numbered(number), body }),
      ...options,
    }),
    // What is wrong with the moment is told beside it.
    plan: useMutation({
      mutationFn: (body: BodyInput<typeof routes.plan>) => call(routes.plan, { body }),
      onSuccess: options.onSuccess,
    }),
    // What is wrong with the days is told beside them.
    keepEditions: useMutation({
      mutationFn: (keep: KeepRule | null) => call(routes.keep, { body: { keep } }),
      onSuccess: options.onSuccess,
    }),
    callOff: useMutation({ mutationFn: (id: string) => call(routes.callOff, { params: { id } }), ...options }),
    hold: useMutation({
      mutationFn: (body: BodyInput<typeof routes.hold>) => call(routes.hold, { body }),
      ...options,
    }),
    takeBack: useMutation({
      mutationFn: (body: DocumentKey) => call(routes.takeBack, { body }),
      ...options,
    }),
  };
}
