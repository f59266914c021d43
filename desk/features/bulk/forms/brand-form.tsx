import { useState } from 'react';
import { Choose } from '../../../shared/ui/choose';
import type { FormProps } from '../form';
import { useChoices } from './use-choices';

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
