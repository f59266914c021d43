import { X } from 'lucide-react';
import type { Condition, Match, Operator } from '../../../core/model/rule';
import { count } from '../ui/count';
import { Select } from '../ui/select';
import { ConditionValue } from './condition-value';
import { compared, newCondition } from './new-condition';
import type { RuleShown } from './rule-shown';
import { pathKey } from './rule-shown';

export interface NodeProps<T> extends RuleShown {
  node: T;
  /** how the group around it joins its parts */
  joined?: Match;
  path: readonly number[];
  change: (node: T) => void;
  remove: () => void;
}

/** What a part of a rule alone does to the answer: "takes out 12", "brings 4". */
const aloneWords = (alone: number) =>
  alone === 0 ? 'changes nothing' : alone > 0 ? `takes out ${count(alone)}` : `brings ${count(-alone)}`;

/** What passes so far, and what one part of the rule does by itself. */
function PartCount({ path, parts }: Pick<NodeProps<unknown>, 'path' | 'parts'>) {
  const part = parts.get(pathKey(path));
  if (!part) return null;
  const words = aloneWords(part.alone);
  return (
    <span
      className="flex flex-col items-end leading-tight"
      title={`${count(part.soFar)} products pass so far; this alone ${words}`}
    >
      <span className="font-semibold text-ink">{count(part.soFar)}</span>
      <span className={`whitespace-nowrap text-[11px] ${part.alone === 0 ? 'text-marigold-ink' : 'text-ink-2'}`}>
        {words}
      </span>
    </span>
  );
}

/** The end of a row of the rule: what the part does, and how to be rid of it. */
export function PartEnd({
  path,
  parts,
  remove,
  removeWords,
}: Pick<NodeProps<unknown>, 'path' | 'parts' | 'remove'> & { removeWords: string }) {
  return (
    <span className="flex shrink-0 items-start gap-1 pt-1 text-ink-2">
      <PartCount path={path} parts={parts} />
      <button type="button" aria-label={removeWords} onClick={remove} className="rounded p-0.5 hover:text-rose">
        <X size={13} aria-hidden="true" />
      </button>
    </span>
  );
}

/** One condition as chips: field, comparison, value; with what it does. */
export function ConditionRow({ node, path, change, remove, ...shown }: NodeProps<Condition>) {
  const field = shown.fields.find(({ key }) => key === node.field);
  const problem = shown.problems.get(pathKey(path));
  return (
    <li>
      <div className="flex items-start gap-1.5">
        <div className="flex min-w-0 flex-1 flex-wrap items-center gap-1.5">
          <Select
            label={field ? 'Field' : 'Choose a field'}
            value={node.field}
            choices={shown.fields.map(({ key, label }) => ({ value: key, label }))}
            choose={(key) => change(newCondition(shown.fields.find((each) => each.key === key)!))}
            className={field ? 'font-semibold' : '!border-rose font-semibold text-rose-ink'}
          />
          {field && (
            <>
              <Select
                label="Comparison"
                value={node.is}
                choices={field.operators.map(({ key, words }) => ({ value: key, label: words }))}
                choose={(key) => change(compared(field, node, key as Operator))}
                className="!border-transparent !bg-transparent text-ink-2"
              />
              <ConditionValue
                key={`${node.field} ${node.is}`}
                field={field}
                condition={node}
                change={(value) => change({ ...node, value })}
              />
            </>
          )}
        </div>
        <PartEnd path={path} parts={shown.parts} remove={remove} removeWords="Remove this condition" />
      </div>
      {problem && (
        <p role="alert" className="mt-0.5 text-rose-ink">
          {problem}
        </p>
      )}
    </li>
  );
}
