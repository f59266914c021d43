import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { AnswerOf } from '../../contract/route';
import { call } from './api';
import { tellRefused } from './tell-refused';

export type Letters = AnswerOf<typeof routes.letters.letters>;

/** Shoppers write while nothing changes in the catalog, so it is looked for again and again. */
const LOOK_AGAIN_MS = 30_000;

export function useLetters() {
  return useQuery({
    queryKey: ['letters'],
    queryFn: () => call(routes.letters.letters),
    refetchInterval: LOOK_AGAIN_MS,
  });
}

export function useLetterWrites() {
  const client = useQueryClient();
  const options = {
    onSuccess: () => client.invalidateQueries({ queryKey: ['letters'] }),
    onError: tellRefused,
  };
  return {
    answer: useMutation({
      mutationFn: ({ id, text }: { id: string; text: string }) =>
        call(routes.letters.answerQuestion, { params: { id }, body: { text } }),
      ...options,
    }),
    putAway: useMutation({
      mutationFn: (id: string) => call(routes.letters.putAway, { params: { id }, body: {} }),
      ...options,
    }),
  };
}
