import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { routes } from '../../contract';
import { call, CallError, setToken } from '../api';

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

/** Undo and redo, and what was undone, in words. */
export function useUndo() {
  const run = (route: typeof routes.desk.undo, word: string) => ({
    mutationFn: () => call(route),
    onSuccess: (change: { label: string }) => void toast(`${word}: ${change.label}`),
    onError: (error: unknown) => {
      const detail = error instanceof CallError ? error.problem.detail : undefined;
      toast.error((error as Error).message, { description: detail });
    },
  });
  return {
    undo: useMutation(run(routes.desk.undo, 'Undone')),
    redo: useMutation(run(routes.desk.redo, 'Done again')),
  };
}
