import { peopleRoutes } from '../../contract/people';
import { useQuery } from '@tanstack/react-query';
import type { AnswerOf } from '../../contract/route';
import { call } from './api';

export type AtWork = AnswerOf<typeof peopleRoutes.presence>['others'][number];

/** Where others are at work; told anew whenever one of them moves. */
export const usePresence = () =>
  useQuery({ queryKey: ['presence'], queryFn: () => call(peopleRoutes.presence), select: ({ others }) => others });

/** Says where this tab is; an empty path says that it is closed. */
export const tellPresence = (body: { tab: string; path: string; title: string; unsaved: string[] }) =>
  call(peopleRoutes.tellPresence, { body });
