import { useState } from 'react';
import { TextField } from '../../../shared/ui/field';
import type { FormProps } from '../form';
import { useChoices } from './use-choices';

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
