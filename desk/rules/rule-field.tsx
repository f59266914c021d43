import { useDeferredValue } from 'react';
import type { CollectionSort } from '../../core/catalog/group';
import type { Rule } from '../../core/rules/rule';
import { Loading } from '../ui/states';
import { useRuleFields, useTriedRule } from './queries';
import { RuleBuilder } from './rule-builder';

interface Props {
  rule: Rule;
  change: (rule: Rule) => void;
  /** why it is not saved */
  error?: string;
  sort?: CollectionSort;
}

/** Makes a rule: its conditions with what each takes in, the whole in words, and what stops it from being saved. */
export function RuleField({ rule, change, error, sort = 'newest' }: Props) {
  const { data: known } = useRuleFields();
  const { data: tried } = useTriedRule(useDeferredValue(rule), sort);
  if (!known) return <Loading rows={2} />;
  return (
    <>
      <RuleBuilder
        rule={rule}
        change={change}
        fields={known.fields}
        counts={new Map((tried?.counts ?? []).map(({ path, count }) => [path.join('.'), count]))}
        problems={new Map((tried?.problems ?? []).map(({ path, message }) => [path.join('.'), message]))}
      />
      {tried && <p className="mt-3 border-t border-hair pt-2 text-ink-2">In words: {tried.sentence}.</p>}
      {error && (
        <p role="alert" className="mt-1 font-semibold text-rose-ink">
          Not saved yet: {error}
        </p>
      )}
    </>
  );
}
