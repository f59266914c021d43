import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { FieldNames } from '../../../../core/rules/field';
import { addNode, withoutUnfinished } from '../../../../core/rules/narrow';
import { readTyped, type Typed } from '../../../../core/rules/text/query-language';
import { EMPTY_RULE, ruleSchema, type Rule } from '../../../../core/model/rule';

export interface Narrowing {
  /** what stands in the find field */
  typed: string;
  /** the same as words to search for, and conditions */
  read: Typed;
  /** the conditions that are chips */
  rule: Rule;
  /** what the goods are asked for: chips and typed conditions together */
  asked: { text: string; rule: Rule };
  sort: string;
  isNarrowed: boolean;
  /** false before the fields are known: conditions that were typed would be taken for words */
  isRead: boolean;
  type: (typed: string) => void;
  setRule: (rule: Rule) => void;
  sortBy: (sort: string) => void;
  /** makes chips of the typed conditions */
  settle: () => void;
  clear: () => void;
  /** shows something kept before */
  show: (kept: { text: string; rule: Rule; sort: string }) => void;
}

function ruleIn(text: string | null): Rule {
  if (!text) return EMPTY_RULE;
  try {
    const read = ruleSchema.safeParse(JSON.parse(text));
    return read.success ? read.data : EMPTY_RULE;
  } catch {
    return EMPTY_RULE;
  }
}

/** What narrows the goods. The address holds it, so that back, forward and links work. */
export function useNarrowing(fields: FieldNames): Narrowing {
  const [params, setParams] = useSearchParams();
  const typed = params.get('q') ?? '';
  const ruleText = params.get('if');
  const sort = params.get('sort') ?? '';
  return useMemo(() => {
    const rule = ruleIn(ruleText);
    const read = readTyped(typed, fields);
    const set = (next: { q?: string; if?: Rule; sort?: string }, replace = false) =>
      setParams(
        (before) => {
          const after = new URLSearchParams(before);
          const put = (key: string, value: string | undefined) => {
            if (value) after.set(key, value);
            else after.delete(key);
          };
          if ('q' in next) put('q', next.q);
          if ('sort' in next) put('sort', next.sort);
          if (next.if) put('if', next.if.of.length > 0 ? JSON.stringify(next.if) : undefined);
          return after;
        },
        { replace },
      );
    const typedRule = read.node ? addNode(rule, read.node) : rule;
    const asked = { text: read.text, rule: withoutUnfinished(typedRule) };
    return {
      typed,
      read,
      rule,
      asked,
      sort,
      isRead: typed === '' || fields.size > 0,
      isNarrowed: asked.text !== '' || asked.rule.of.length > 0,
      type: (q) => set({ q }, true),
      setRule: (next) => set({ if: next }),
      sortBy: (next) => set({ sort: next }),
      settle: () => {
        if (read.node) set({ q: read.text, if: typedRule });
      },
      clear: () => set({ q: '', if: EMPTY_RULE }),
      show: (kept) => set({ q: kept.text, if: kept.rule, sort: kept.sort }),
    };
  }, [typed, ruleText, sort, fields, setParams]);
}
