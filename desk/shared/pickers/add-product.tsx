import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { routes } from '../../../contract';
import { call } from '../../data/api';
import { Choose } from '../ui/choose';

interface Props {
  /** ids that are not offered (any more) */
  taken: readonly string[];
  add: (id: string, title: string) => void;
  label?: string;
}

/** Finds products by what is typed. */
export function AddProduct({ taken, add, label = 'Add a product' }: Props) {
  const [typed, setTyped] = useState('');
  const { data } = useQuery({
    queryKey: ['goods', 'pick', typed],
    queryFn: ({ signal }) => call(routes.goods.list, { body: { text: typed, limit: 12, need: 'rows' }, signal }),
    placeholderData: (before) => before,
  });
  return (
    <Choose
      label={label}
      onType={setTyped}
      choices={(data?.rows ?? [])
        .filter(({ id }) => !taken.includes(id))
        .map(({ id, title, brand }) => ({ value: id, label: title, note: brand ?? undefined }))}
      choose={(id) => add(id, data?.rows.find((row) => row.id === id)?.title ?? '')}
      className="w-52"
    />
  );
}
