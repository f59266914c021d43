import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { orderRoutes } from '../../contract/orders';
import type { AnswerOf, BodyInput } from '../../contract/route';
import { call } from './api';

export type OrderAnswer = AnswerOf<typeof orderRoutes.order>;

/** Shoppers order while nothing changes in the catalog, so it is looked for again and again. */
const LOOK_AGAIN_MS = 15_000;

export function useOrders(query: { status: string; q: string; page: string }) {
  return useQuery({
    queryKey: ['orders', query],
    queryFn: ({ signal }) => call(orderRoutes.orders, { query, signal }),
    refetchInterval: LOOK_AGAIN_MS,
    placeholderData: (before) => before,
  });
}

const orderKey = (id: string) => ['orders', 'one', id];

export function useOrder(id: string) {
  return useQuery({ queryKey: orderKey(id), queryFn: () => call(orderRoutes.order, { params: { id } }) });
}

/** What can be done to an order; each answers the order as it is since. */
export function useOrderSteps(id: string) {
  const client = useQueryClient();
  const onSuccess = (order: OrderAnswer) => {
    client.setQueryData(orderKey(id), order);
    void client.invalidateQueries({ queryKey: ['orders'], predicate: ({ queryKey }) => queryKey[1] !== 'one' });
    void client.invalidateQueries({ queryKey: ['letters'] });
  };
  const params = { id };
  return {
    paid: useMutation({ mutationFn: () => call(orderRoutes.paid, { params, body: {} }), onSuccess }),
    sent: useMutation({
      mutationFn: (body: BodyInput<typeof orderRoutes.sent>) => call(orderRoutes.sent, { params, body }),
      onSuccess,
    }),
    refund: useMutation({
      mutationFn: (body: BodyInput<typeof orderRoutes.refund>) => call(orderRoutes.refund, { params, body }),
      onSuccess,
    }),
    cancel: useMutation({
      mutationFn: (reason: string) => call(orderRoutes.cancel, { params, body: { reason } }),
      onSuccess,
    }),
    note: useMutation({
      mutationFn: (text: string) => call(orderRoutes.note, { params, body: { text } }),
      onSuccess,
    }),
  };
}
