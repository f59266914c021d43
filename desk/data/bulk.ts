import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { routes } from '../../contract';
import type { Job } from '../../contract/bulk';
import type { BodyInput } from '../../contract/route';
import { call } from './api';

export type WhichInput = NonNullable<BodyInput<typeof routes.bulk.run>>['which'];
export type RequestInput = NonNullable<BodyInput<typeof routes.bulk.run>>['request'];
export type PreviewFilter = 'all' | 'changing' | 'failing';

/** The goods of the tray, or others that are meant: how many, and the first of them. */
export function useWhich(which: WhichInput, limit: number, isWanted = true) {
  return useQuery({
    queryKey: ['goods', 'which', which, limit],
    queryFn: ({ signal }) => call(routes.bulk.which, { body: { ...which, limit }, signal }),
    enabled: isWanted,
    placeholderData: keepPreviousData,
  });
}

/** What would become of the goods. `request` is undefined while it is not filled in. */
export function usePreview(which: WhichInput, request: RequestInput | undefined, only: PreviewFilter) {
  return useQuery({
    queryKey: ['goods', 'bulk', which, request, only],
    queryFn: ({ signal }) =>
      call(routes.bulk.preview, { body: { which, request: request!, only, limit: 100 }, signal }),
    enabled: request !== undefined,
    placeholderData: keepPreviousData,
    retry: false,
  });
}

export function useRunBulk() {
  return useMutation({
    mutationFn: (body: { which: WhichInput; request: RequestInput }) => call(routes.bulk.run, { body }),
    // Work that goes on by itself is followed at the bottom of the desk.
    onSuccess: (job: Job) => {
      if (job.state === 'done') toast(job.outcome, { description: 'Ctrl + Z takes it back.' });
    },
  });
}

/** Work that is under way; kept fresh by the server's events. */
export function useJobs() {
  return useQuery({ queryKey: ['jobs'], queryFn: () => call(routes.bulk.jobs) });
}
