import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { routes } from '../../contract';
import type { BodyInput } from '../../contract/route';
import { call, CallError, wordsOf } from '../api';

export type GroupKind = 'category' | 'collection' | 'brand' | 'tag';
export type NamedKind = 'brand' | 'tag';

export function useGroups(enabled = true) {
  return useQuery({ queryKey: ['groups'], queryFn: () => call(routes.groups.overview), enabled });
}

/** A collection with its first goods. */
export function useShelf(id: string, limit = 500) {
  return useQuery({
    queryKey: ['groups', 'shelf', id, limit],
    queryFn: () => call(routes.groups.collection, { params: { id }, query: { limit } }),
  });
}

export function useCategory(id: string) {
  return useQuery({
    queryKey: ['groups', 'category', id],
    queryFn: () => call(routes.groups.category, { params: { id } }),
  });
}

export function useOverlap() {
  return useQuery({ queryKey: ['groups', 'overlap'], queryFn: () => call(routes.groups.overlap) });
}

/** What to say about a refused write: the reason at its field says more than the title. */
export const refusalOf = (error: unknown) =>
  error instanceof CallError && error.errors[0] ? error.errors[0].message : wordsOf(error);

/** How each write of this desk ends: it refreshes the groups, and says so when it is refused. */
function useWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['groups'] });
  return {
    /** a write whose refusal is told in a toast */
    told: <T, A>(mutationFn: (parts: T) => Promise<A>) => ({
      mutationFn,
      onSuccess,
      onError: (error: unknown) => void toast.error(refusalOf(error)),
    }),
    /** a write whose refusal is told at its field */
    quiet: <T, A>(mutationFn: (parts: T) => Promise<A>) => ({ mutationFn, onSuccess }),
  };
}

type WithId<R> = { id: string } & BodyInput<R>;

export function useCategoryWrites() {
  const { told, quiet } = useWrites();
  const { groups } = routes;
  return {
    create: useMutation(told((body: BodyInput<typeof groups.createCategory>) => call(groups.createCategory, { body }))),
    move: useMutation(
      told(({ id, ...body }: WithId<typeof groups.updateCategory>) =>
        call(groups.updateCategory, { params: { id }, body }),
      ),
    ),
    change: useMutation(
      quiet(({ id, ...body }: WithId<typeof groups.updateCategory>) =>
        call(groups.updateCategory, { params: { id }, body }),
      ),
    ),
    merge: useMutation(
      told(({ id, into }: { id: string; into: string }) =>
        call(groups.mergeCategory, { params: { id }, body: { into } }),
      ),
    ),
    remove: useMutation(
      told(({ id, ...query }: { id: string; products: 'toParent' | 'toOther' | 'leave'; other?: string }) =>
        call(groups.deleteCategory, { params: { id }, query }),
      ),
    ),
    add: useMutation(
      told(({ id, ids }: { id: string; ids: string[] }) =>
        call(groups.addToCategory, { params: { id }, body: { ids } }),
      ),
    ),
  };
}

export function useCollectionWrites() {
  const { told, quiet } = useWrites();
  const { groups } = routes;
  return {
    create: useMutation(
      told((body: BodyInput<typeof groups.createCollection>) => call(groups.createCollection, { body })),
    ),
    change: useMutation(
      quiet(({ id, ...body }: WithId<typeof groups.updateCollection>) =>
        call(groups.updateCollection, { params: { id }, body }),
      ),
    ),
    arrange: useMutation(told((ids: string[]) => call(groups.orderCollections, { body: { ids } }))),
    copy: useMutation(told((id: string) => call(groups.copyCollection, { params: { id } }))),
    fill: useMutation(
      told(({ id, source }: { id: string; source: 'picked' | 'rule' }) =>
        call(groups.fillCollection, { params: { id }, body: { source } }),
      ),
    ),
    remove: useMutation(told((id: string) => call(groups.deleteCollection, { params: { id } }))),
    add: useMutation(
      told(({ id, ids }: { id: string; ids: string[] }) =>
        call(groups.addToCollection, { params: { id }, body: { ids } }),
      ),
    ),
  };
}

export function useNamedWrites(kind: NamedKind) {
  const { told, quiet } = useWrites();
  const { groups } = routes;
  return {
    create: useMutation(
      told((name: string) => call(kind === 'brand' ? groups.createBrand : groups.createTag, { body: { name } })),
    ),
    change: useMutation(
      quiet(({ id, ...body }: WithId<typeof groups.updateNamed>) =>
        call(groups.updateNamed, { params: { kind, id }, body }),
      ),
    ),
    merge: useMutation(
      told(({ id, into }: { id: string; into: string }) =>
        call(groups.mergeNamed, { params: { kind, id }, body: { into } }),
      ),
    ),
    remove: useMutation(told((id: string) => call(groups.deleteNamed, { params: { kind, id } }))),
  };
}

/** Gives a group its picture. */
export function useGroupPicture(kind: GroupKind, id: string) {
  const { told } = useWrites();
  return useMutation(told((files: File[]) => call(routes.groups.addPicture, { params: { kind, id }, files })));
}
