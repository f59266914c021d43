import { useQuery } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { BodyInput } from '../../contract/route';
import { call } from './api';

export function useRuleFields() {
  return useQuery({ queryKey: ['groups', 'fields'], queryFn: () => call(routes.rules.fields) });
}

export type TriedRule = BodyInput<typeof routes.rules.try>;

/** Who a rule takes in while it is being made. */
export function useTriedRule(tried: TriedRule) {
  return useQuery({
    queryKey: ['groups', 'try', tried],
    queryFn: ({ signal }) => call(routes.rules.try, { body: tried, signal }),
    placeholderData: (before) => before,
  });
}

/** Why a rule takes one product in, or does not; asked for once a product is named. */
export function useWhyInRule(body: Omit<BodyInput<typeof routes.rules.why>, 'productId'>, productId: string | null) {
  return useQuery({
    queryKey: ['groups', 'why', body, productId],
    queryFn: ({ signal }) => call(routes.rules.why, { body: { ...body, productId: productId! }, signal }),
    enabled: productId !== null,
    placeholderData: (before) => before,
  });
}
