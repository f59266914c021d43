import type { Rule } from '../../core/model/rule';
import { checkRule } from '../../core/rules/check';
import { type RuleProblem } from '../../core/rules/answers';
import { circularProblems } from '../../core/rules/collections';
import type { Catalog } from '../state/catalog';

/** What stops a rule from filling the collection `id`; null for one that is yet to be made. */
export function problemsOfRule(catalog: Catalog, id: string | null, rule: Rule): RuleProblem[] {
  const { shop } = catalog.working;
  return [...checkRule(rule, shop.fields), ...circularProblems(id ?? '', rule, shop.collections)];
}
