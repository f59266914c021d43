import type { FormProps } from '../form';
import { OneOf } from './one-of';

export function FeaturedForm({ change }: FormProps) {
  return (
    <OneOf
      label="Make them"
      choices={[
        { value: 'yes', label: 'featured, after the ones that already are' },
        { value: 'no', label: 'not featured any more' },
      ]}
      choose={(value) => change({ do: 'featured', featured: value === 'yes' })}
    />
  );
}
