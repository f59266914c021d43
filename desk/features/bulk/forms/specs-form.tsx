import { useState } from 'react';
import type { SpecValue } from '../../../../core/model/spec-sheet';
import { useSpecSheets } from '../../../data/goods';
import { SpecField } from '../../../shared/pickers/spec-field';
import { Select } from '../../../shared/ui/select';
import { Tick } from '../../../shared/ui/tick';
import type { FormProps } from '../form';

export function SpecsForm({ change }: FormProps) {
  const { data } = useSpecSheets();
  const sheets = data?.sheets ?? [];
  const [sheetId, setSheetId] = useState<string>();
  const [values, setValues] = useState<Record<string, SpecValue | null>>({});
  const sheet = sheets.find(({ id }) => id === sheetId);
  const set = (next: Record<string, SpecValue | null>) => {
    setValues(next);
    change(sheetId && Object.keys(next).length > 0 ? { do: 'specs', sheetId, values: next } : undefined);
  };
  return (
    <>
      <Select
        label="Spec sheet"
        value={sheetId ?? ''}
        choices={sheets.map(({ id, name }) => ({ value: id, label: name }))}
        choose={(id) => {
          setSheetId(id);
          setValues({});
          change(undefined);
        }}
        className="self-start"
      />
      {sheet?.attributes.map((attribute) => {
        const { id, name } = attribute;
        const isAsked = id in values;
        return (
          <div key={id}>
            <Tick
              label={name}
              checked={isAsked}
              change={(is) => {
                const { [id]: _gone, ...rest } = values;
                set(is ? { ...values, [id]: null } : rest);
              }}
            />
            {isAsked && (
              <SpecField
                attribute={attribute}
                value={values[id] ?? undefined}
                change={(value) => set({ ...values, [id]: value ?? null })}
              />
            )}
          </div>
        );
      })}
      {sheet && <p className="text-ink-2">Only what is ticked is changed; an empty field takes the value away.</p>}
    </>
  );
}
