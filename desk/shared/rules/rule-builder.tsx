import { Plus } from 'lucide-react';
import {
  isCondition,
  isVariantGroup,
  MAX_RULE_DEPTH,
  type Match,
  type Rule,
  type RuleNode,
  type VariantGroup,
} from '../../../core/model/rule';
import { Choose } from '../ui/choose';
import { Select } from '../ui/select';
import { ConditionRow, PartEnd, type NodeProps } from './condition-row';
import { newCondition } from './new-condition';
import { pathKey, type RuleShown } from './rule-shown';

const matchWords: Record<Match, string> = { all: 'all', any: 'any', none: 'none' };
const variantWords = { some: 'on one and the same variant', every: 'on every variant' };
const small =
  'inline-flex items-center gap-1 rounded-lg border border-dashed border-ink-3 px-2 py-1 text-ink-2 hover:border-ink hover:text-ink';

function GroupHead({ node, joined = 'all', path, change, remove, ...shown }: NodeProps<Rule | VariantGroup>) {
  const isOuter = path.length === 0;
  return (
    <div className="mb-2 flex items-start gap-1.5 text-ink-2">
      <div className="flex min-w-0 flex-1 flex-wrap items-center gap-1.5">
        {isOuter ? 'Takes in every product that meets' : joined === 'all' ? 'and' : 'or'}
        <Select
          label="How many must hold"
          value={node.match}
          choices={Object.entries(matchWords).map(([value, label]) => ({ value, label }))}
          choose={(match) => change({ ...node, match: match as Match })}
          className="font-semibold text-ink"
        />
        {isVariantGroup(node) ? (
          <>
            of these
            <Select
              label="On which variants"
              value={node.variants}
              choices={Object.entries(variantWords).map(([value, label]) => ({ value, label }))}
              choose={(variants) => change({ ...node, variants: variants as VariantGroup['variants'] })}
              className="text-ink"
            />
          </>
        ) : (
          'of'
        )}
      </div>
      {!isOuter && <PartEnd path={path} parts={shown.parts} remove={remove} removeWords="Remove this group" />}
    </div>
  );
}

function GroupRows(props: NodeProps<Rule | VariantGroup>) {
  const { node, joined: _joined, path, change, remove: _remove, ...shown } = props;
  const isOuter = path.length === 0;
  const onVariant = isVariantGroup(node);
  const fields = onVariant ? shown.fields.filter((field) => field.onVariant) : shown.fields;
  const of = node.of as RuleNode[];
  const setOf = (next: RuleNode[]) => change({ ...node, of: next });
  const setAt = (at: number, child: RuleNode) => setOf(of.map((each, i) => (i === at ? child : each)));
  const add = (child: RuleNode) => setOf([...of, child]);
  const problem = isOuter ? undefined : shown.problems.get(pathKey(path));
  return (
    <div className={isOuter ? '' : 'border-l-[3px] border-marigold pl-2.5'}>
      <GroupHead {...props} />
      <ul className="flex flex-col gap-2">
        {of.map((child, at) => {
          const place = {
            ...shown,
            fields,
            path: [...path, at],
            joined: node.match,
            remove: () => setOf(of.filter((_, i) => i !== at)),
          };
          return isCondition(child) ? (
            <ConditionRow key={at} node={child} change={(next) => setAt(at, next)} {...place} />
          ) : (
            <li key={at}>
              <GroupRows node={child} change={(next) => setAt(at, next)} {...place} />
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
        <Choose
          label="Add a condition"
          placeholder="+ condition"
          choices={fields.map(({ key, label }) => ({ value: key, label }))}
          choose={(key) => add(newCondition(fields.find((field) => field.key === key)!))}
          className="w-32"
        />
        {!onVariant && path.length < MAX_RULE_DEPTH - 1 && (
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

interface Props extends RuleShown {
  rule: Rule;
  change: (rule: Rule) => void;
}

/** Conditions in nested groups, each with how many products pass so far and what it does alone. */
export function RuleBuilder({ rule, change, ...shown }: Props) {
  return <GroupRows node={rule} path={[]} change={(next) => change(next)} remove={() => undefined} {...shown} />;
}
