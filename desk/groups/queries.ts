import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { routes } from '../../contract';
import type { BodyInput } from '../../contract/route';
import { call, wordsOf } from '../api';

export function useGroups(enabled = true) {
  return useQuery({ queryKey: ['groups'], queryFn: () => call(routes.groups.overview), enabled });
}

export function useShelf(id: string) {
  return useQuery({
    queryKey: ['groups', 'shelf', id],
    queryFn: () => call(routes.groups.collection, { params: { id } }),
  });
}

/** Writes of this desk: each refreshes the groups, and says so when it is refused. */
export function useGroupWrites() {
  const client = useQueryClient();
  const options = {
    onSuccess: () => client.invalidateQueries({ queryKey: ['groups'] }),
    onError: (error: unknown) => void toast.error(wordsOf(error)),
  };
  const write = <T, A>(mutationFn: (parts: T) => Promise<A>) => ({ mutationFn, ...options });
  return {
    createCategory: useMutation(
      write((body: BodyInput<typeof routes.groups.createCategory>) => call(routes.groups.createCategory, { body })),
    ),
    updateCategory: useMutation(
      write(({ id, ...body }: { id: string } & BodyInput<typeof routes.groups.updateCategory>) =>
        call(routes.groups.updateCategory, { params: { id }, body }),
      ),
    ),
    deleteCategory: useMutation(
      write(({ id, products }: { id: string; products: 'toParent' | 'leave' }) =>
        call(routes.groups.deleteCategory, { params: { id }, query: { products } }),
      ),
    ),
    createCollection: useMutation(
      write((body: BodyInput<typeof routes.groups.createCollection>) => call(routes.groups.createCollection, { body })),
    ),
    updateCollection: useMutation({
      mutationFn: ({ id, ...body }: { id: string } & BodyInput<typeof routes.groups.updateCollection>) =>
        call(routes.groups.updateCollection, { params: { id }, body }),
      onSuccess: options.onSuccess,
    }),
    deleteCollection: useMutation(write((id: string) => call(routes.groups.deleteCollection, { params: { id } }))),
    deleteTag: useMutation(write((id: string) => call(routes.groups.deleteTag, { params: { id } }))),
    deleteBrand: useMutation(write((id: string) => call(routes.groups.deleteBrand, { params: { id } }))),
  };
}
