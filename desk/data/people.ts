import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { Role } from '../../contract/desk';
import type { AnswerOf } from '../../contract/route';
import { call } from './api';

const KEY = ['people'];

export type People = AnswerOf<typeof routes.desk.people>;

/** Who may sign in, and who is invited. */
export const usePeople = () => useQuery({ queryKey: KEY, queryFn: () => call(routes.desk.people) });

export function usePeopleWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: KEY });
  return {
    invite: useMutation({
      mutationFn: (body: { email: string; role: Role; languages: string[] | null }) => call(routes.desk.invite, { body }),
      onSuccess,
    }),
    takeBackInvite: useMutation({
      mutationFn: (id: string) => call(routes.desk.takeBackInvite, { params: { id } }),
      onSuccess,
    }),
    setRole: useMutation({
      mutationFn: ({ id, ...body }: { id: string; role: Role; languages: string[] | null }) =>
        call(routes.desk.setRole, { params: { id }, body }),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (id: string) => call(routes.desk.removePerson, { params: { id } }),
      onSuccess,
    }),
    signOutElsewhere: useMutation({ mutationFn: () => call(routes.desk.signOutElsewhere), onSuccess }),
  };
}
