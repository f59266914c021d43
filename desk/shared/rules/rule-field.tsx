import { useDeferredValue } from 'react';
import type { Rule } from '../../../core/model/rule';
import { Loading } from '../ui/states';
import { useRuleFields, useTriedRule, type TriedRule } from '../../data/rules';
import { RuleBuilder } from './rule-builder';
import { byPath } from './rule-shown';

interface Props {
  rule: Rule;
  change: (rule: Rule) => void;
  /** why it is not saved */
  error?: string;
  /** what it is tried with beside the rule itself, such as the collection that it fills */
  tryWith?: Omit<TriedRule, 'rule'>;
}

/** Makes a rule: its conditions with what each does, the whole in words, and what stops it from being saved. */
export function RuleField({ rule, change, error, tryWith }: Props) {
  const { data: known } = useRuleFields();
  const { data: tried } = useTriedRule({ ...tryWith, rule: useDeferredValue(rule) });
  if (!known) return <Loading rows={2} />;
  return (
    <>
      <RuleBuilder
        rule={rule}
        change={change}
        fields={known.fields}
        parts={byPath(tried?.parts ?? [], (part) => part)}
        problems={byPath(tried?.problems ?? [], ({ message }) => message)}
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
