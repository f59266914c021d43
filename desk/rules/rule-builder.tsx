import { Plus, X } from 'lucide-react';
import type { RuleField } from '../../contract/rule-field';
import { plainAmount } from '../../core/catalog/money';
import {
  isCondition,
  isVariantGroup,
  type Condition,
  type Match,
  type Operator,
  type Rule,
  type RuleNode,
  type VariantGroup,
} from '../../core/rules/rule';
import { Choose } from '../ui/choose';
import { Select } from '../ui/select';
import { useState } from 'react';
import { readNumber } from './read-number';

interface Shared {
  fields: readonly RuleField[];
  /** products that each condition takes in by itself, by its path */
  counts: ReadonlyMap<string, number>;
  problems: ReadonlyMap<string, string>;
}

const matchWords = { all: 'all', any: 'any', none: 'none' };
const pathKey = (path: readonly number[]) => path.join('.');

function firstValue(field: RuleField, is: Operator): Condition['value'] {
  if (field.type === 'yesNo' || is === 'filled' || is === 'empty') return null;
  if (field.type === 'choice') return [];
  if (field.type === 'text') return '';
  if (is === 'between') return [0, 10_000];
  if (is === 'inLast') return 30;
  return field.type === 'money' ? 2_500 : 0;
}

export function newCondition(field: RuleField): Condition {
  const is = field.operators[0]!.key;
  return { field: field.key, is, value: firstValue(field, is) };
}

/** A number of the rule as it is typed: money in major units, days as a date. */
function NumberValue({
  field,
  is,
  value,
  change,
}: {
  field: RuleField;
  is: Operator;
  value: number;
  change: (value: number) => void;
}) {
  const isMoney = field.type === 'money';
  const isDate = field.type === 'date' && is !== 'inLast';
  const parts = field.unit?.parts ?? 1;
  const shown = isMoney
    ? plainAmount(value)
    : isDate
      ? new Date(value * 1000).toISOString().slice(0, 10)
      : String(value / parts);
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <input
      type={isDate ? 'date' : 'text'}
      inputMode="decimal"
      aria-label={`Value of ${field.label}`}
      value={typed ?? shown}
      size={6}
      onChange={(event) => {
        const text = event.target.value;
        setTyped(text);
        const read = readNumber(text, is === 'inLast' ? 'number' : field.type, parts);
        if (read !== undefined) change(read);
      }}
      onBlur={() => setTyped(null)}
      className="rounded-lg border border-line bg-sheet px-2 py-1"
    />
  );
}

function Value({
  field,
  condition,
  change,
}: {
  field: RuleField;
  condition: Condition;
  change: (value: Condition['value']) => void;
}) {
  const { value, is } = condition;
  if (field.type === 'yesNo' || is === 'filled' || is === 'empty') return null;
  if (field.type === 'choice') {
    const chosen = Array.isArray(value) ? value.map(String) : [];
    return (
      <span className="flex flex-wrap items-center gap-1.5">
        {chosen.map((id) => {
          const label = field.choices.find((choice) => choice.value === id)?.label;
          return (
            <span
              key={id}
              className={`flex items-center gap-1 rounded-lg border px-2 py-0.5 ${label ? 'border-line bg-sheet' : 'border-rose bg-rose-soft text-rose-ink'}`}
            >
              {label ?? 'deleted'}
              <button
                type="button"
                aria-label={`Remove ${label ?? 'the deleted value'}`}
                onClick={() => change(chosen.filter((each) => each !== id))}
              >
                <X size={11} aria-hidden="true" />
              </button>
            </span>
          );
        })}
        <Choose
          label={`Value of ${field.label}`}
          placeholder={chosen.length > 0 ? 'or …' : 'choose'}
          choices={field.choices.filter((choice) => !chosen.includes(choice.value))}
          choose={(id) => change([...chosen, id])}
          className="w-24"
        />
      </span>
    );
  }
  if (field.type === 'text')
    return (
      <input
        aria-label={`Value of ${field.label}`}
        value={String(value ?? '')}
        onChange={(event) => change(event.target.value)}
        className="w-32 rounded-lg border border-line bg-sheet px-2 py-1"
      />
    );
  if (is === 'between' && Array.isArray(value)) {
    const [low, high] = value as [number, number];
    return (
      <span className="flex items-center gap-1.5">
        <NumberValue field={field} is={is} value={low} change={(next) => change([next, high])} /> and
        <NumberValue field={field} is={is} value={high} change={(next) => change([low, next])} />
      </span>
    );
  }
  return (
    <span className="flex items-center gap-1.5">
      <NumberValue field={field} is={is} value={typeof value === 'number' ? value : 0} change={change} />
      {is === 'inLast' && 'days'}
    </span>
  );
}

interface NodeProps<T> extends Shared {
  node: T;
  /** how the group around it joins its parts */
  joined?: Match;
  path: readonly number[];
  change: (node: T) => void;
  remove: () => void;
}

export function ConditionRow({ node, path, change, remove, ...shared }: NodeProps<Condition>) {
  const field = shared.fields.find(({ key }) => key === node.field);
  const problem = shared.problems.get(pathKey(path));
  const count = shared.counts.get(pathKey(path));
  return (
    <li>
      <div className="flex flex-wrap items-center gap-1.5">
        <Select
          label="Field"
          value={node.field}
          choices={shared.fields.map(({ key, label }) => ({ value: key, label }))}
          choose={(key) => change(newCondition(shared.fields.find((each) => each.key === key)!))}
          className="font-semibold"
        />
        {field && (
          <>
            <Select
              label="Comparison"
              value={node.is}
              choices={field.operators.map(({ key, words }) => ({ value: key, label: words }))}
              choose={(key) => {
                const is = key as Operator;
                const form = (of: Operator) => (['between', 'inLast', 'filled', 'empty'].includes(of) ? of : 'one');
                const keeps = form(is) === form(node.is);
                change({ ...node, is, value: keeps ? node.value : firstValue(field, is) });
              }}
              className="!border-transparent !bg-transparent text-ink-2"
            />
            <Value
              key={`${node.field} ${node.is}`}
              field={field}
              condition={node}
              change={(value) => change({ ...node, value })}
            />
          </>
        )}
        <span className="ml-auto flex items-center gap-1 text-ink-2">
          {count !== undefined && <span title="products that meet this by itself">{count}</span>}
          <button
            type="button"
            aria-label="Remove this condition"
            onClick={remove}
            className="rounded p-0.5 hover:text-rose"
          >
            <X size={13} aria-hidden="true" />
          </button>
        </span>
      </div>
      {problem && (
        <p role="alert" className="mt-0.5 text-rose-ink">
          {problem}
        </p>
      )}
    </li>
  );
}

const groupWords: Record<'some' | 'every' | 'plain', string> = {
  plain: 'of',
  some: 'of these on one and the same variant',
  every: 'of these on every variant',
};

function GroupRows({ node, joined = 'all', path, change, remove, ...shared }: NodeProps<Rule | VariantGroup>) {
  const isOuter = path.length === 0;
  const onVariant = isVariantGroup(node);
  const fields = onVariant ? shared.fields.filter((field) => field.onVariant) : shared.fields;
  const of = node.of as RuleNode[];
  const setOf = (next: RuleNode[]) => change({ ...node, of: next } as typeof node);
  const setAt = (at: number, child: RuleNode) => setOf(of.map((each, i) => (i === at ? child : each)));
  const add = (child: RuleNode) => setOf([...of, child]);
  const problem = isOuter ? undefined : shared.problems.get(pathKey(path));
  const small =
    'inline-flex items-center gap-1 rounded-lg border border-dashed border-ink-3 px-2 py-0.5 text-ink-2 hover:border-ink hover:text-ink';
  return (
    <div className={isOuter ? '' : 'border-l-[3px] border-marigold pl-3'}>
      <div className="mb-2 flex items-center gap-1.5 text-ink-2">
        {isOuter ? 'Takes in every product that meets' : joined === 'all' ? 'and' : 'or'}
        <Select
          label="How many must hold"
          value={node.match}
          choices={Object.entries(matchWords).map(([value, label]) => ({ value, label }))}
          choose={(match) => change({ ...node, match: match as Match })}
          className="font-semibold text-ink"
        />
        {groupWords[onVariant ? node.variants : 'plain']}
        {!isOuter && (
          <button
            type="button"
            aria-label="Remove this group"
            onClick={remove}
            className="ml-auto rounded p-0.5 hover:text-rose"
          >
            <X size={13} aria-hidden="true" />
          </button>
        )}
      </div>
      <ul className="flex flex-col gap-2">
        {of.map((child, at) => {
          const place = { path: [...path, at], remove: () => setOf(of.filter((_, i) => i !== at)), ...shared, fields };
          return isCondition(child) ? (
            <ConditionRow key={at} node={child} change={(next) => setAt(at, next)} {...place} />
          ) : (
            <li key={at}>
              <GroupRows node={child} joined={node.match} change={(next) => setAt(at, next)} {...place} />
            </li>
          );
        })}
      </ul>
      {problem && (
        <p role="alert" className="mt-1 text-rose-ink">
          {problem}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-1.5">
        <button
          type="button"
          className={small}
          onClick={() =>
            fields[0] &&
            add(newCondition(fields.find(({ key }) => key === (onVariant ? 'stock' : 'category')) ?? fields[0]))
          }
        >
          <Plus size={12} aria-hidden="true" /> condition
        </button>
        {!onVariant && path.length < 3 && (
          <>
            <button type="button" className={small} onClick={() => add({ match: 'any', of: [] })}>
              <Plus size={12} aria-hidden="true" /> group
            </button>
            <button type="button" className={small} onClick={() => add({ variants: 'some', match: 'all', of: [] })}>
              <Plus size={12} aria-hidden="true" /> one variant where …
            </button>
          </>
        )}
      </div>
    </div>
  );
}

interface Props extends Shared {
  rule: Rule;
  change: (rule: Rule) => void;
}

/** Conditions in nested groups, each with how many products it takes in by itself. */
export function RuleBuilder({ rule, change, ...shared }: Props) {
  return (
    <GroupRows node={rule} path={[]} change={(next) => change(next as Rule)} remove={() => undefined} {...shared} />
  );
}
