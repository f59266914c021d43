import { Plus, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { someFeedSchema, type FeedField } from '../../../core/model/feed';
import { useUnsaved } from '../../shared/autosave/unsaved';
import { Button } from '../../shared/ui/button';
import { Select } from '../../shared/ui/select';

interface Props {
  fields: readonly FeedField[];
  /** what fields can hold */
  values: readonly { key: string; label: string }[];
  /** why the server refused them */
  error: string | undefined;
  change: (fields: FeedField[]) => void;
}

function problemsOf(fields: readonly FeedField[]): Map<number, string> {
  const found = new Map<number, string>();
  for (const { path, message } of someFeedSchema.safeParse({ fields }).error?.issues ?? [])
    if (typeof path[1] === 'number') found.set(path[1], message);
  fields.forEach(({ name }, i) => {
    if (fields.findIndex((other) => other.name === name) < i) found.set(i, 'Two fields cannot have one name.');
  });
  return found;
}

/** What each entry of a feed tells, in this order, under the names that its reader knows. */
export function FeedFields({ fields: saved, values, error, change }: Props) {
  // A name that cannot be saved stays as it is typed; the feed keeps its last whole fields until then.
  const [unfinished, setUnfinished] = useState<readonly FeedField[]>();
  const fields = unfinished ?? saved;
  const problems = problemsOf(fields);
  const tellUnsaved = useUnsaved();
  useEffect(() => {
    const words = unfinished ? [...problemsOf(unfinished).values()] : [];
    tellUnsaved(words.length > 0 ? { problems: words, isOnItsWay: false } : null);
  }, [unfinished, tellUnsaved]);
  const set = (next: FeedField[]) => {
    const isWrong = next.length === 0 || problemsOf(next).size > 0;
    setUnfinished(isWrong ? next : undefined);
    if (!isWrong) change(next);
  };
  const put = (at: number, part: Partial<FeedField>) =>
    set(fields.map((field, i) => (i === at ? { ...field, ...part } : field)));
  const choices = [
    ...values.map(({ key, label }) => ({ value: key, label })),
    { value: 'words', label: 'The same words everywhere' },
  ];
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Fields</legend>
      <ul className="flex flex-col gap-1.5">
        {fields.map((field, i) => (
          <li key={i}>
            <span className="flex items-center gap-2 max-sm:flex-wrap">
              <input
                aria-label={`Name of field ${i + 1}`}
                aria-invalid={problems.has(i) || undefined}
                value={field.name}
                onChange={({ target }) => put(i, { name: target.value })}
                className="field !w-36 shrink-0 font-mono !text-xs"
              />
              <Select
                label={`What “${field.name}” holds`}
                value={field.from}
                choices={choices}
                choose={(from) => put(i, { from })}
                className="min-w-0 flex-1"
              />
              {field.from === 'words' && (
                <input
                  aria-label={`Words of “${field.name}”`}
                  value={field.words}
                  maxLength={500}
                  onChange={({ target }) => put(i, { words: target.value })}
                  className="field !w-32"
                />
              )}
              <button
                type="button"
                aria-label={`Leave out “${field.name}”`}
                disabled={fields.length === 1}
                className="rounded p-1 text-ink-2 hover:bg-sunk hover:text-ink disabled:opacity-40"
                onClick={() => set(fields.filter((_, other) => other !== i))}
              >
                <X size={13} aria-hidden="true" />
              </button>
            </span>
            {problems.has(i) && (
              <p role="alert" className="text-rose-ink">
                {problems.get(i)}
              </p>
            )}
          </li>
        ))}
      </ul>
      <Button className="mt-2" onClick={() => set([...fields, { name: freshName(fields), from: 'title', words: '' }])}>
        <Plus size={13} aria-hidden="true" /> A further field
      </Button>
      {error && (
        <p role="alert" className="mt-1 text-rose-ink">
          {error}
        </p>
      )}
    </fieldset>
  );
}

function freshName(fields: readonly FeedField[]): string {
  const isTaken = (name: string) => fields.some((field) => field.name === name);
  for (let i = fields.length + 1; ; i++) if (!isTaken(`field_${i}`)) return `field_${i}`;
}
