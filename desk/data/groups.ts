import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { routes } from '../../contract';
import type { AnswerOf, BodyInput } from '../../contract/route';
import { call } from './api';
import type { Shelf } from '../../contract/groups';
import { rowsAfter, type Destination } from '../../core/groups/tree-moves';
import { refusalOf, tellRefused } from './tell-refused';

export type GroupKind = 'category' | 'collection' | 'brand' | 'tag';
export type NamedKind = 'brand' | 'tag';

export function useGroups(enabled = true) {
  return useQuery({ queryKey: ['groups'], queryFn: () => call(routes.groups.overview), enabled });
}

/** Goods of a collection that its own page shows one by one. */
const WHOLE = 500;

/** A collection with its first goods. */
export function useShelf(id: string, limit = WHOLE) {
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

/** What names a group or a page. */
export function useUses(kind: string, id: string) {
  return useQuery({
    queryKey: ['groups', 'uses', kind, id],
    queryFn: () => call(routes.groups.uses, { params: { kind, id } }),
    staleTime: 0,
  });
}

export function useOverlap() {
  return useQuery({ queryKey: ['groups', 'overlap'], queryFn: () => call(routes.groups.overlap) });
}

/** How each write of this desk ends: it refreshes the groups, and says so when it is refused. */
function useWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: ['groups'] });
  return {
    written: onSuccess,
    /** a write whose refusal is told in a toast */
    told: <T, A>(mutationFn: (parts: T) => Promise<A>) => ({
      mutationFn,
      onSuccess,
      onError: tellRefused,
    }),
    /**
     * a write whose refusal is told at its field. `show` puts what was saved into what is shown, before a read that is still
     * on its way could bring the old state back for a moment
     */
    quiet: <T, A>(mutationFn: (parts: T) => Promise<A>, show: (saved: A) => void) => ({
      mutationFn,
      onSuccess: async (saved: A) => {
        await client.cancelQueries({ queryKey: ['groups'] });
        show(saved);
        void onSuccess();
      },
    }),
  };
}

type WithId<R> = { id: string } & BodyInput<R>;

const MOVES = 'category-moves';

type Overview = AnswerOf<typeof routes.groups.overview>;

export function useCategoryWrites() {
  const { told, quiet, written } = useWrites();
  const client = useQueryClient();
  const { groups } = routes;
  return {
    create: useMutation(told((body: BodyInput<typeof groups.createCategory>) => call(groups.createCategory, { body }))),
    rename: useMutation(
      told(({ id, name }: { id: string; name: string }) =>
        call(groups.updateCategory, { params: { id }, body: { name } }),
      ),
    ),
    // Shown at once, and written one after the other: whoever moves again at once means what is seen.
    move: useMutation({
      ...told(({ id, to }: { id: string; to: Destination }) =>
        call(groups.updateCategory, { params: { id }, body: to }),
      ),
      mutationKey: [MOVES],
      scope: { id: MOVES },
      // While another move waits, what is saved would hide what is shown already.
      onSuccess: () => (client.isMutating({ mutationKey: [MOVES] }) > 1 ? undefined : written()),
      onMutate: async ({ id, to }: { id: string; to: Destination }) => {
        await client.cancelQueries({ queryKey: ['groups'], exact: true });
        client.setQueryData(['groups'], (now: Overview | undefined) =>
          now?.categories.some((row) => row.id === id)
            ? { ...now, categories: rowsAfter(now.categories, id, to) }
            : now,
        );
      },
      onError: (error: unknown) => {
        toast.error(refusalOf(error));
        void client.invalidateQueries({ queryKey: ['groups'] });
      },
    }),
    change: useMutation(
      quiet(
        ({ id, ...body }: WithId<typeof groups.updateCategory>) =>
          call(groups.updateCategory, { params: { id }, body }),
        (saved) =>
          client.setQueryData(
            ['groups', 'category', saved.id],
            (now: AnswerOf<typeof groups.category> | undefined) =>
              now && { ...now, category: { ...now.category, ...saved } },
          ),
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
  const client = useQueryClient();
  const { groups } = routes;
  return {
    create: useMutation(
      told((body: BodyInput<typeof groups.createCollection>) => call(groups.createCollection, { body })),
    ),
    change: useMutation(
      quiet(
        ({ id, ...body }: WithId<typeof groups.updateCollection>) =>
          call(groups.updateCollection, { params: { id }, body }),
        (saved) => client.setQueryData(['groups', 'shelf', saved.id, WHOLE], saved),
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
  const client = useQueryClient();
  const { groups } = routes;
  return {
    create: useMutation(
      told((name: string) => call(kind === 'brand' ? groups.createBrand : groups.createTag, { body: { name } })),
    ),
    change: useMutation(
      quiet(
        ({ id, ...body }: WithId<typeof groups.updateNamed>) =>
          call(groups.updateNamed, { params: { kind, id }, body }),
        (saved) =>
          client.setQueryData(['groups'], (now: Overview | undefined) => {
            const list = kind === 'brand' ? 'brands' : 'tags';
            return (
              now && { ...now, [list]: now[list].map((row) => (row.id === saved.id ? { ...row, ...saved } : row)) }
            );
          }),
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

/** Puts the goods of a shelf in another order: shown at once, as goods that were dragged would jump back otherwise. */
export function useShelfOrder(id: string, limit: number) {
  const client = useQueryClient();
  const { quiet, written } = useWrites();
  const key = ['groups', 'shelf', id, limit];
  return useMutation({
    ...quiet(
      ({ picked, pins, was }: { ids: string[]; picked?: string[]; pins?: string[]; was: object }) =>
        call(routes.groups.updateCollection, { params: { id }, body: { picked, pins, was: { ...was } } }),
      (saved) => client.setQueryData(key, { ...saved, goods: saved.goods.slice(0, limit) }),
    ),
    onMutate: async ({ ids, picked, pins }: { ids: string[]; picked?: string[]; pins?: string[]; was: object }) => {
      await client.cancelQueries({ queryKey: key });
      client.setQueryData(key, (now: Shelf | undefined) => {
        if (!now) return now;
        const rows = new Map(now.goods.map((row) => [row.id, row]));
        return {
          ...now,
          picked: picked ?? now.picked,
          pins: pins ?? now.pins,
          goods: ids.map((each) => rows.get(each)!),
        };
      });
    },
    onError: (error: unknown) => {
      toast.error(refusalOf(error));
      void written();
    },
  });
}

/** Gives a group its picture. */
export function useGroupPicture(kind: GroupKind, id: string) {
  const { told } = useWrites();
  return useMutation(told((files: File[]) => call(routes.groups.addPicture, { params: { kind, id }, files })));
}
