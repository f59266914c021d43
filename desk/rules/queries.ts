import { useQuery } from '@tanstack/react-query';
import { routes } from '../../contract';
import type { CollectionSort } from '../../core/catalog/group';
import type { Rule } from '../../core/rules/rule';
import { call } from '../api';

export function useRuleFields() {
  return useQuery({ queryKey: ['groups', 'fields'], queryFn: () => call(routes.groups.fields) });
}

/** Who a rule takes in while it is being made. */
export function useTriedRule(rule: Rule, sort: CollectionSort) {
  return useQuery({
    queryKey: ['groups', 'try', rule, sort],
    queryFn: ({ signal }) => call(routes.groups.tryRule, { body: { rule, sort }, signal }),
    placeholderData: (before) => before,
  });
}
