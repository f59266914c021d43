import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { routes } from '../../contract';
import { call, wordsOf } from './api';

export function useReview() {
  return useQuery({ queryKey: ['review'], queryFn: () => call(routes.desk.review) });
}

export function useEditions() {
  return useQuery({ queryKey: ['editions'], queryFn: () => call(routes.desk.editions) });
}

export function useEditionWrites() {
  const client = useQueryClient();
  const options = {
    onSuccess: () => client.invalidateQueries(),
    onError: (error: unknown) => void toast.error(wordsOf(error)),
  };
  return {
    putLive: useMutation({ mutationFn: (label: string) => call(routes.desk.putLive, { body: { label } }), ...options }),
    goBack: useMutation({
      mutationFn: (number: number) => call(routes.desk.goBack, { params: { number: String(number) } }),
      ...options,
    }),
  };
}
