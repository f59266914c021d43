import type { BodyInput } from '../../contract/route';
import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { ProductAnswer } from '../../contract/goods';
import type { SpecSheet } from '../../core/catalog/spec';
import { call } from '../api';

/** What narrows the goods list; each is also a part of the address. */
export interface GoodsFilter {
  q: string;
  standing: string;
  category: string;
  brand: string;
  tag: string;
  sort: string;
}

export const CHUNK = 60;

const chunkQuery = (filter: GoodsFilter, chunk: number) => ({
  queryKey: ['goods', 'list', filter, chunk],
  queryFn: ({ signal }: { signal: AbortSignal }) =>
    call(routes.goods.list, { query: { ...filter, offset: chunk * CHUNK, limit: CHUNK }, signal }),
  placeholderData: <T>(before: T) => before,
});

/** Totals and counts, with the first rows. */
export function useGoods(filter: GoodsFilter) {
  return useQuery(chunkQuery(filter, 0));
}

/** The rows of the chunks that are on screen. Rows still on their way are undefined. */
export function useGoodsChunks(filter: GoodsFilter, chunks: readonly number[]) {
  return useQueries({
    queries: chunks.map((chunk) => ({ ...chunkQuery(filter, chunk), placeholderData: undefined })),
    combine: (results) =>
      new Map(results.flatMap((result, i) => (result.data ? [[chunks[i]!, result.data.rows] as const] : []))),
  });
}

export const productKey = (id: string) => ['product', id];

/** Of two answers about a product the newer one; of two of the same state the one that came last. */
const newer = (kept: ProductAnswer | undefined, answer: ProductAnswer) =>
  kept && kept.revision > answer.revision ? kept : answer;

export function useProduct(id: string) {
  return useQuery({
    queryKey: productKey(id),
    // A read that began before a save ended may come in after its answer, and must not put the old state back.
    queryFn: async ({ client }) => {
      const answer = await call(routes.goods.get, { params: { id } });
      return newer(client.getQueryData(productKey(id)), answer);
    },
  });
}

export function useHistory(id: string) {
  return useQuery({
    queryKey: ['product', id, 'history'],
    queryFn: () => call(routes.goods.history, { params: { id } }),
  });
}

/** Keeps an answer about a product, unless something newer is there already. */
export function useKeepProduct() {
  const client = useQueryClient();
  return (answer: ProductAnswer) => {
    client.setQueryData<ProductAnswer>(productKey(answer.product.id), (kept) => newer(kept, answer));
    return answer;
  };
}

export function useCreateProduct() {
  const keep = useKeepProduct();
  return useMutation({
    mutationFn: (body: { title: string; kind: ProductAnswer['product']['kind']; price: number }) =>
      call(routes.goods.create, { body }),
    onSuccess: keep,
  });
}

export function useSpecSheets() {
  return useQuery({ queryKey: ['spec-sheets'], queryFn: () => call(routes.specSheets.list) });
}

export function useCreateSpecSheet() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (name: string) => call(routes.specSheets.create, { body: { name } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['spec-sheets'] }),
  });
}

export function useSaveSpecSheet() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, ...body }: SpecSheet) => call(routes.specSheets.update, { params: { id }, body }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['spec-sheets'] }),
  });
}

export function useRemoveSpecSheet() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => call(routes.specSheets.remove, { params: { id } }),
    onSuccess: () => client.invalidateQueries({ queryKey: ['spec-sheets'] }),
  });
}

export function useCopyProduct() {
  const keep = useKeepProduct();
  return useMutation({
    mutationFn: (id: string) => call(routes.goods.copy, { params: { id } }),
    onSuccess: keep,
  });
}

export function useOptionLists() {
  return useQuery({
    queryKey: ['option-lists'],
    queryFn: () => call(routes.optionLists.list),
    select: ({ lists }) => lists,
  });
}

function useListWrite<Input, Answer>(mutationFn: (input: Input) => Promise<Answer>) {
  const client = useQueryClient();
  return useMutation({ mutationFn, onSuccess: () => client.invalidateQueries({ queryKey: ['option-lists'] }) });
}

export const useCreateOptionList = () =>
  useListWrite((body: BodyInput<typeof routes.optionLists.create>) => call(routes.optionLists.create, { body }));

export const useSaveOptionList = () =>
  useListWrite(({ id, ...body }: { id: string } & BodyInput<typeof routes.optionLists.update>) =>
    call(routes.optionLists.update, { params: { id }, body }),
  );

export const useRemoveOptionList = () =>
  useListWrite((id: string) => call(routes.optionLists.remove, { params: { id } }));
