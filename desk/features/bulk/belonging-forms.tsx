import { X } from 'lucide-react';
import { useState } from 'react';
import { useGoodsFields } from '../../data/goods';
import { Choose } from '../../shared/ui/choose';
import { TextField } from '../../shared/ui/field';
import { Select } from '../../shared/ui/select';
import type { FormProps } from './form';

const hows = [
  { value: 'add', label: 'Add' },
  { value: 'remove', label: 'Take away' },
  { value: 'set', label: 'Set, instead of what they have' },
];

/** Choices of a field such as category, with how deep they lie taken from the name alone. */
function useChoices(key: string) {
  const { fields } = useGoodsFields();
  return fields.find((field) => field.key === key)?.choices ?? [];
}

function ManyForm({
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

export const CategoriesForm = (props: FormProps) => (
  <ManyForm {...props} field="category" what="categories" label="Category" />
);
export const TagsForm = (props: FormProps) => <ManyForm {...props} field="tag" what="tags" label="Tag" />;

export function BrandForm({ change }: FormProps) {
  const choices = useChoices('brand');
  const [id, setId] = useState<string>();
  const none = { value: '', label: 'No brand' };
  return (
    <>
      <Choose
        label="Brand"
        choices={[...choices, none]}
        choose={(next) => {
          setId(next);
          change({ do: 'brand', id: next || null });
        }}
      />
      {id !== undefined && (
        <p className="font-semibold">{[...choices, none].find(({ value }) => value === id)?.label}</p>
      )}
    </>
  );
}

export function SupplierForm({ change }: FormProps) {
  const known = useChoices('supplier');
  const [name, setName] = useState('');
  return (
    <>
      <TextField
        label="Supplier"
        hint="empty for none"
        value={name}
        list="bulk-suppliers"
        onChange={(event) => {
          setName(event.target.value);
          change({ do: 'supplier', name: event.target.value });
        }}
      />
      <datalist id="bulk-suppliers">
        {known.map(({ value }) => (
          <option key={value} value={value} />
        ))}
      </datalist>
    </>
  );
}
