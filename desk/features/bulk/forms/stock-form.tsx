import { useState } from 'react';
import { MeasureField } from '../../../shared/ui/measure-field';
import { readWhole, type Reading } from '../../../shared/ui/readings';
import { Select } from '../../../shared/ui/select';
import type { FormProps } from '../form';

const negative = (read: Reading<number>): Reading<number> => ('value' in read ? { value: -read.value } : read);

const stockHows = [
  { value: 'set', label: 'Set it to' },
  { value: 'add', label: 'Add to it (use a minus to take away)' },
  { value: 'uncounted', label: 'Stop counting it' },
];

export function StockForm({ change }: FormProps) {
  const [how, setHow] = useState('set');
  const [pieces, setPieces] = useState<number | null>(null);
  const read = (typed: string): Reading<number> =>
    how === 'add' && /^\s*[-−]/.test(typed) ? negative(readWhole(typed.replace(/^\s*[-−]/, ''))) : readWhole(typed);
  return (
    <>
      <Select
        label="Stock of every variant"
        value={how}
        choices={stockHows}
        choose={(next) => {
          setHow(next);
          setPieces(null);
          change(next === 'uncounted' ? { do: 'stock', how: 'uncounted' } : undefined);
        }}
        className="self-start"
      />
      {how !== 'uncounted' && (
        <MeasureField
          key={how}
          label="Pieces, for every variant"
          shown={pieces === null ? '' : String(pieces)}
          read={read}
          change={(next) => {
            setPieces(next as number);
            change({ do: 'stock', how: how as 'set', pieces: next as number });
          }}
          className="!w-28"
        />
      )}
    </>
  );
}
