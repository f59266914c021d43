import { peopleRoutes } from '../../contract/people';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Role } from '../../contract/desk';
import type { AnswerOf } from '../../contract/route';
import { call } from './api';

const KEY = ['people'];

export type People = AnswerOf<typeof peopleRoutes.people>;

/** Who may sign in, and who is invited. */
export const usePeople = () => useQuery({ queryKey: KEY, queryFn: () => call(peopleRoutes.people) });

const PLACES = ['places'];

/** Where the person is signed in. */
export const usePlaces = () => useQuery({ queryKey: PLACES, queryFn: () => call(peopleRoutes.sessions), staleTime: 0 });

export function usePlaceWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: PLACES });
  return {
    end: useMutation({ mutationFn: (id: string) => call(peopleRoutes.endSession, { params: { id } }), onSuccess }),
    endOthers: useMutation({ mutationFn: () => call(peopleRoutes.signOutElsewhere), onSuccess }),
  };
}

/** What somebody may do: languages and suppliers limit a helper to them. */
export interface Rights {
  role: Role;
  languages: string[] | null;
  suppliers: string[] | null;
}

export function usePeopleWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: KEY });
  return {
    invite: useMutation({
      mutationFn: (body: { email: string } & Rights) => call(peopleRoutes.invite, { body }),
      onSuccess,
    }),
    takeBackInvite: useMutation({
      mutationFn: (id: string) => call(peopleRoutes.takeBackInvite, { params: { id } }),
      onSuccess,
    }),
    setRole: useMutation({
      mutationFn: ({ id, ...body }: { id: string } & Rights) =>
        call(peopleRoutes.setRole, { params: { id }, body }),
      onSuccess,
    }),
    remove: useMutation({
      mutationFn: (id: string) => call(peopleRoutes.removePerson, { params: { id } }),
      onSuccess,
    }),
    letChoosePassword: useMutation({
      mutationFn: (id: string) => call(peopleRoutes.letChoosePassword, { params: { id } }),
    }),
  };
}
