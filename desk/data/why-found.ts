import { useQuery } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { AnswerOf } from '../../contract/route';
import { call } from './api';

export type WhyFoundAnswer = AnswerOf<typeof routes.whyFound.why>;

/** Why a search of shoppers finds what it finds; what was found before stays until the next is known. */
export function useWhyFound(q: string) {
  return useQuery({
    queryKey: ['why-found', q],
    queryFn: ({ signal }) => call(routes.whyFound.why, { query: { q }, signal }),
    enabled: q.trim() !== '',
    placeholderData: (before) => before,
  });
}
