import type { Standing } from '../../../../core/model/product-values';
import type { FormProps } from '../form';
import { OneOf } from './one-of';

export function StandingForm({ change }: FormProps) {
  return (
    <OneOf<Standing>
      label="Change their standing to"
      choices={[
        { value: 'live', label: 'on the shop, with the next edition' },
        { value: 'draft', label: 'drafts' },
        { value: 'off', label: 'off the shop' },
      ]}
      choose={(standing) => change({ do: 'standing', standing })}
    />
  );
}
