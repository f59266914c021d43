import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { AnswerOf, BodyInput } from '../../contract/route';
import { supplierRoutes as routes } from '../../contract/suppliers';
import { call } from './api';

export type { ProposalAnswer, ReorderLine, SupplyAnswer } from '../../contract/suppliers';
export type SuppliersAnswer = AnswerOf<typeof routes.suppliers>;
export type TakeBody = BodyInput<typeof routes.take>;

const KEY = 'suppliers';
const PROPOSALS = 'proposals';

export const useSuppliers = () => useQuery({ queryKey: [KEY], queryFn: () => call(routes.suppliers) });

export const useSupplier = (id: string) =>
  useQuery({ queryKey: [KEY, id], queryFn: () => call(routes.get, { params: { id } }) });

/** What to order so that it lasts for so many days. */
export const useReorder = (id: string, days: number) =>
  useQuery({
    queryKey: [KEY, id, 'reorder', days],
    queryFn: ({ signal }) => call(routes.reorder, { params: { id }, query: { days }, signal }),
    placeholderData: (before, query) => (query?.queryKey[1] === id ? before : undefined),
  });

/** Changes some of a supplier; answers it as it is saved. */
export const saveSupplier = (id: string, body: BodyInput<typeof routes.change>) =>
  call(routes.change, { params: { id }, body });

export function useSupplierWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: [KEY] });
  return {
    add: useMutation({ mutationFn: (name: string) => call(routes.add, { body: { name } }), onSuccess }),
    rename: useMutation({
      mutationFn: ({ id, name, was }: { id: string; name: string; was: string }) =>
        saveSupplier(id, { name, was: { name: was } }),
      onSuccess,
    }),
    remove: useMutation({ mutationFn: (id: string) => call(routes.remove, { params: { id } }), onSuccess }),
    addGoods: useMutation({
      mutationFn: ({ id, ...body }: { id: string; productIds: string[]; main: boolean }) =>
        call(routes.addGoods, { params: { id }, body }),
      onSuccess,
    }),
    setSupply: useMutation({
      mutationFn: ({ id, variant, ...body }: { id: string; variant: string } & BodyInput<typeof routes.setSupply>) =>
        call(routes.setSupply, { params: { id, variant }, body }),
      onSuccess,
    }),
    dropSupply: useMutation({
      mutationFn: (params: { id: string; variant: string }) => call(routes.dropSupply, { params }),
      onSuccess,
    }),
    orderFile: useMutation({
      mutationFn: ({ id, lines }: { id: string; lines: { variantId: string; pieces: number }[] }) =>
        call(routes.orderFile, { params: { id }, body: { lines } }),
    }),
  };
}

export const useProposals = () => useQuery({ queryKey: [PROPOSALS], queryFn: () => call(routes.proposals) });

/** How many proposals wait; asked everywhere, so that it is a small question. */
export const useProposalCount = () =>
  useQuery({ queryKey: [PROPOSALS, 'count'], queryFn: () => call(routes.count) });

export function useProposalWrites() {
  const client = useQueryClient();
  const onSuccess = () => client.invalidateQueries({ queryKey: [PROPOSALS] });
  return {
    take: useMutation({
      mutationFn: ({ id, ...body }: { id: string } & TakeBody) => call(routes.take, { params: { id }, body }),
      onSuccess,
    }),
    refuse: useMutation({
      mutationFn: ({ id, reply }: { id: string; reply: string }) => call(routes.refuse, { params: { id }, body: { reply } }),
      onSuccess,
    }),
  };
}
