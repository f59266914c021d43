import type { Status } from '../../../../core/model/product-values';
import type { FormProps } from '../form';
import { OneOf } from './one-of';

export function StatusForm({ change }: FormProps) {
  return (
    <OneOf<Status>
      label="Change their standing to"
      choices={[
        { value: 'live', label: 'on the shop, with the next edition' },
        { value: 'draft', label: 'drafts' },
        { value: 'off', label: 'off the shop' },
      ]}
      choose={(status) => change({ do: 'status', status })}
    />
  );
}
