import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { AnswerOf, BodyInput } from '../../contract/route';
import { routes } from '../../contract';
import type { ProductAnswer } from '../../contract/product';
import type { FieldNames } from '../../core/rules/field';
import type { Rule } from '../../core/model/rule';
import { call } from './api';

/** Which goods are listed, in which order, and what is told of each. */
export interface GoodsAsked {
  text: string;
  rule: Rule;
  sort: string;
  columns: string[];
}
export type ListedRow = AnswerOf<typeof routes.goods.list>['rows'][number];

export const CHUNK = 60;

/** Totals and counts of what there is; `open`: number fields whose distribution is wanted. */
export function useGoods(asked: GoodsAsked, open: string[]) {
  return useQuery({
    queryKey: ['goods', 'counts', asked, open],
    queryFn: ({ signal }) =>
      call(routes.goods.list, { body: { ...asked, open, offset: 0, limit: 1, need: 'all' }, signal }),
    placeholderData: (before) => before,
  });
}

/** What goods can be narrowed and sorted by. */
export function useGoodsFields() {
  const { data } = useQuery({ queryKey: ['goods', 'fields'], queryFn: () => call(routes.goods.fields) });
  return useMemo(() => {
    const fields = data?.fields ?? [];
    const names: FieldNames = new Map(
      fields.map((field) => [
        field.key,
        {
          ...field,
          unit: field.unit ?? undefined,
          choices: new Map(field.choices.map(({ value, label }) => [value, label])),
        },
      ]),
    );
    return { fields, names };
  }, [data]);
}

/** The rows of the chunks that are on screen. Rows still on their way are undefined. */
export function useGoodsChunks(asked: GoodsAsked, chunks: readonly number[]) {
  return useQueries({
    queries: chunks.map((chunk) => ({
      queryKey: ['goods', 'rows', asked, chunk],
      queryFn: ({ signal }: { signal: AbortSignal }) =>
        call(routes.goods.list, {
          body: { ...asked, offset: chunk * CHUNK, limit: CHUNK, need: 'rows' as const },
          signal,
        }),
    })),
    combine: (results) =>
      new Map(results.flatMap((result, i) => (result.data ? [[chunks[i]!, result.data.rows] as const] : []))),
  });
}

const productKey = (id: string) => ['product', id];

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
    mutationFn: ({ id, ...body }: { id: string } & BodyInput<typeof routes.specSheets.update>) =>
      call(routes.specSheets.update, { params: { id }, body }),
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

const viewsKey = ['goods', 'views'];

export function useViews() {
  return useQuery({ queryKey: viewsKey, queryFn: () => call(routes.views.all) });
}

export function useViewWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: viewsKey });
  return {
    add: useMutation({
      mutationFn: (body: BodyInput<typeof routes.views.add>) => call(routes.views.add, { body }),
      onSuccess,
    }),
    remove: useMutation({ mutationFn: (id: string) => call(routes.views.remove, { params: { id } }), onSuccess }),
  };
}

/** Titles of products by id; those that are gone are not in it. */
export function useTitles(ids: readonly string[]): ReadonlyMap<string, string> {
  const { data } = useQuery({
    queryKey: ['goods', 'titles', ids],
    queryFn: () => call(routes.bulk.which, { body: { ids: [...ids], limit: 500 } }),
    enabled: ids.length > 0,
    placeholderData: (before) => before,
  });
  return new Map(data?.rows.map(({ id, title }) => [id, title]));
}
