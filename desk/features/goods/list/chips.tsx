import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import clsx from 'clsx';
import { Plus, X } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import type { RuleField } from '../../../../contract/rule-field';
import type { FieldNames } from '../../../../core/rules/field';
import { addNode, replaceAt, turned } from '../../../../core/rules/narrow';
import { isCondition, isVariantGroup, type Condition, type Rule, type RuleNode } from '../../../../core/model/rule';
import { conditionWords, sentenceOf } from '../../../../core/rules/text/sentence';
import { ConditionRow } from '../../../shared/rules/condition-row';
import { newCondition } from '../../../shared/rules/new-condition';
import { RuleBuilder } from '../../../shared/rules/rule-builder';
import { Button } from '../../../shared/ui/button';
import { Choose } from '../../../shared/ui/choose';
import { Dialog } from '../../../shared/ui/dialog';

interface Props {
  rule: Rule;
  change: (rule: Rule) => void;
  fields: readonly RuleField[];
  names: FieldNames;
  currency: string;
  problems: ReadonlyMap<string, string>;
}

function WordsOf({ node, names, currency }: { node: RuleNode; names: FieldNames; currency: string }) {
  const isNot = !isCondition(node) && !isVariantGroup(node) && node.match === 'none' && node.of.length === 1;
  const shown = isNot ? node.of[0]! : node;
  if (!isCondition(shown))
    return <>{sentenceOf({ match: 'all', of: [node] }, names, currency).replace('every product where ', '')}</>;
  const field = names.get(shown.field);
  const words = conditionWords(shown, names, currency);
  const label = field?.label ?? '';
  const isYesNo = field?.type === 'yesNo';
  return (
    <>
      {isNot && <span className="text-rose-ink">not </span>}
      {isYesNo ? <strong>{words}</strong> : <strong>{label}</strong>}
      {!isYesNo && words.slice(label.length)}
    </>
  );
}

interface ChipProps extends Omit<Props, 'rule' | 'change'> {
  node: RuleNode;
  set: (node: RuleNode | undefined) => void;
  /** opens the whole rule, for groups that a chip cannot hold */
  build: () => void;
  onVariant?: boolean;
}

function Chip({ node, set, build, onVariant = false, ...shared }: ChipProps) {
  const { fields, names, currency } = shared;
  const look = 'flex max-w-72 items-center rounded-lg border border-line bg-sheet hover:border-ink-3';
  const words = <WordsOf node={node} names={names} currency={currency} />;
  const inner = !isCondition(node) && !isVariantGroup(node) && node.match === 'none' ? node.of[0] : node;
  const condition = inner && isCondition(inner) ? inner : undefined;
  const put = (next: Condition) => set(condition === node ? next : { match: 'none', of: [next] });
  return (
    <span className={look}>
      {condition ? (
        <Popover className="min-w-0">
          <PopoverButton className="max-w-full truncate py-1 pl-2.5" title="Change this condition">
            {words}
          </PopoverButton>
          <PopoverPanel
            anchor={{ to: 'bottom start', gap: 6 }}
            className="sheet z-40 w-[420px] max-w-[95vw] !overflow-visible p-3 shadow-xl"
          >
            <ul>
              <ConditionRow
                node={condition}
                path={[0]}
                fields={onVariant ? fields.filter((field) => field.onVariant) : fields}
                parts={new Map()}
                problems={new Map()}
                change={put}
                remove={() => set(undefined)}
              />
            </ul>
            {!onVariant && (
              <Button className="mt-2.5" onClick={() => set(turned(node))}>
                Turn round: {turned(node) !== node && <WordsOf node={turned(node)} names={names} currency={currency} />}
              </Button>
            )}
          </PopoverPanel>
        </Popover>
      ) : (
        <button type="button" onClick={build} className="truncate py-1 pl-2.5" title="Change these conditions">
          {words}
        </button>
      )}
      <button
        type="button"
        onClick={() => set(undefined)}
        aria-label="Remove this condition"
        className="shrink-0 rounded px-1.5 py-1.5 text-ink-2 hover:text-rose"
      >
        <X size={12} aria-hidden="true" />
      </button>
    </span>
  );
}

/** What narrows the goods, as chips that can be changed in place, turned round and removed. */
export function Chips(props: Props) {
  const { rule, change, fields, problems } = props;
  const [isBuilding, setBuilding] = useState(false);
  const nodes: readonly RuleNode[] = rule.of.length === 0 ? [] : rule.match === 'all' ? rule.of : [rule];
  const shared = { ...props, build: () => setBuilding(true) };
  const setAt = (path: number[]) => (next: RuleNode | undefined) =>
    change(
      rule.match === 'all'
        ? replaceAt(rule, path, next)
        : next
          ? { match: 'all', of: [next] }
          : { match: 'all', of: [] },
    );
  const chip = (node: RuleNode, path: number[], onVariant = false): ReactNode => (
    <Chip key={path.join('.')} {...shared} node={node} set={setAt(path)} onVariant={onVariant} />
  );
  const problem = [...problems.values()][0];
  return (
    <>
      {nodes.map((node, at) => {
        const isCluster = isVariantGroup(node) && node.variants === 'some' && node.match === 'all';
        if (!isCluster) return chip(node, [at]);
        if (node.of.length === 1) return chip(node.of[0]!, [at, 0], true);
        return (
          <span
            key={at}
            className="flex flex-wrap items-center gap-1 rounded-[10px] border border-dashed border-ink-3 px-1 py-0.5"
          >
            <span className="pl-1 text-xs text-ink-2">one variant:</span>
            {node.of.map((condition, i) => chip(condition, [at, i], true))}
          </span>
        );
      })}
      <Popover>
        <PopoverButton
          aria-label="Add a condition"
          className={clsx(
            'rounded-lg border border-dashed border-ink-3 px-2 py-1.5 text-ink-2 hover:border-ink hover:text-ink',
          )}
        >
          <Plus size={13} aria-hidden="true" />
        </PopoverButton>
        <PopoverPanel
          anchor={{ to: 'bottom start', gap: 6 }}
          className="sheet z-40 w-64 !overflow-visible p-3 shadow-xl"
        >
          {({ close }) => (
            <div className="flex flex-col gap-2.5">
              <Choose
                label="Field to narrow by"
                choices={fields.map(({ key, label }) => ({ value: key, label }))}
                choose={(key) => {
                  change(addNode(rule, newCondition(fields.find((field) => field.key === key)!)));
                  close();
                }}
                className="w-full"
              />
              <Button
                onClick={() => {
                  setBuilding(true);
                  close();
                }}
              >
                Groups of conditions …
              </Button>
            </div>
          )}
        </PopoverPanel>
      </Popover>
      {problem && (
        <span role="alert" className="text-rose-ink">
          {problem}
        </span>
      )}
      {isBuilding && (
        <Dialog title="Which goods" isOpen close={() => setBuilding(false)} width="max-w-2xl">
          <RuleBuilder rule={rule} change={change} fields={fields} parts={new Map()} problems={problems} />
          <Button look="main" className="mt-4" onClick={() => setBuilding(false)}>
            Show them
          </Button>
        </Dialog>
      )}
    </>
  );
}
