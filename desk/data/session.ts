import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { routes } from '../../contract';
import { call, CallError, setToken, wordsOf } from './api';
import { tellRefused } from './tell-refused';

export function useSession() {
  return useQuery({
    queryKey: ['session'],
    queryFn: async () => {
      const session = await call(routes.desk.session);
      setToken(session.token);
      return session;
    },
    staleTime: Infinity,
  });
}

/** Sign in, set up or sign out: whatever changes who is there. */
export function useEnter() {
  const client = useQueryClient();
  const take = (session: Awaited<ReturnType<typeof call<never, never, typeof routes.desk.session.answer>>>) => {
    setToken(session.token);
    client.setQueryData(['session'], session);
  };
  return {
    signIn: useMutation({
      mutationFn: (body: { email: string; password: string }) => call(routes.desk.signIn, { body }),
      onSuccess: take,
    }),
    setUp: useMutation({
      mutationFn: (body: { shopName: string; name: string; email: string; password: string; code: string }) =>
        call(routes.desk.setUp, { body }),
      onSuccess: take,
    }),
    join: useMutation({
      mutationFn: (body: { code: string; name: string; password: string }) => call(routes.desk.join, { body }),
      onSuccess: take,
    }),
    changePassword: useMutation({
      mutationFn: (body: { old: string; next: string }) => call(routes.desk.changePassword, { body }),
    }),
    signOut: useMutation({
      mutationFn: () => call(routes.desk.signOut),
      onSuccess: () => {
        take({ user: null, token: null, needsSetup: false, needsCode: false });
        // Nothing that one person saw is to be there for the next.
        client.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'session' });
      },
    }),
  };
}

export function useStatus() {
  return useQuery({ queryKey: ['status'], queryFn: () => call(routes.desk.status) });
}

export function useFound(q: string) {
  return useQuery({
    queryKey: ['find', q],
    queryFn: ({ signal }) => call(routes.desk.find, { query: { q }, signal }),
    enabled: q.trim() !== '',
    placeholderData: (before) => before,
  });
}

/** Undo and redo of this person's changes: which one that is, is told before; and after, what was done. */
export function useUndo() {
  const client = useQueryClient();
  const { data: status } = useStatus();
  const parts = (
    route: typeof routes.desk.undo,
    word: string,
    next: { id: number; label: string } | null | undefined,
  ) => ({
    mutationFn: () => call(route, { query: { of: next?.id } }),
    onSuccess: (change: { label: string }) => void toast(`${word}: ${change.label}`),
    onError: (error: unknown) => {
      const detail = error instanceof CallError ? error.problem.detail : undefined;
      toast.error(wordsOf(error), { description: detail });
    },
    onSettled: () => client.invalidateQueries({ queryKey: ['status'] }),
  });
  return {
    undo: { ...useMutation(parts(routes.desk.undo, 'Undone', status?.undo)), next: status?.undo ?? null },
    redo: { ...useMutation(parts(routes.desk.redo, 'Done again', status?.redo)), next: status?.redo ?? null },
  };
}

/** Says what was just done, with a way to take back that very change. */
export function useTakeBack() {
  const client = useQueryClient();
  const { mutate } = useMutation({
    mutationFn: (id: number) => call(routes.history.reverse, { params: { id: String(id) } }),
    onSuccess: ({ label }) => void toast(`Undone: ${label}`),
    onError: tellRefused,
  });
  return {
    offer: (words: string) => {
      const read = client.fetchQuery({ queryKey: ['status'], queryFn: () => call(routes.desk.status), staleTime: 0 });
      void read.then(({ undo }) =>
        toast(words, undo ? { action: { label: 'Undo', onClick: () => mutate(undo.id) } } : undefined),
      );
    },
  };
}
