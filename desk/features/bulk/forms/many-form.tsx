import { X } from 'lucide-react';
import { useState } from 'react';
import { Choose } from '../../../shared/ui/choose';
import { Select } from '../../../shared/ui/select';
import type { FormProps } from '../form';
import { useChoices } from './use-choices';

const hows = [
  { value: 'add', label: 'Add' },
  { value: 'remove', label: 'Take away' },
  { value: 'set', label: 'Set, instead of what they have' },
];

/** Adds to, takes from or sets the categories or the tags. */
export function ManyForm({
  change,
  field,
  what,
  label,
}: FormProps & { field: string; what: 'categories' | 'tags'; label: string }) {
  const choices = useChoices(field);
  const [how, setHow] = useState<'add' | 'remove' | 'set'>('add');
  const [ids, setIds] = useState<string[]>([]);
  const set = (nextHow: typeof how, nextIds: string[]) => {
    setHow(nextHow);
    setIds(nextIds);
    change(nextIds.length > 0 ? { do: what, how: nextHow, ids: nextIds } : undefined);
  };
  return (
    <>
      <Select
        label="How"
        value={how}
        choices={hows}
        choose={(next) => set(next as typeof how, ids)}
        className="self-start"
      />
      <div className="flex flex-wrap items-center gap-1.5">
        {ids.map((id) => (
          <span key={id} className="flex items-center gap-1 rounded-lg border border-line bg-sheet px-2 py-0.5">
            {choices.find(({ value }) => value === id)?.label}
            <button
              type="button"
              aria-label="Not this one"
              onClick={() =>
                set(
                  how,
                  ids.filter((each) => each !== id),
                )
              }
            >
              <X size={11} aria-hidden="true" />
            </button>
          </span>
        ))}
        <Choose
          label={label}
          choices={choices.filter(({ value }) => !ids.includes(value))}
          choose={(id) => set(how, [...ids, id])}
        />
      </div>
    </>
  );
}
