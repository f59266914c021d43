import { taxClasses } from '../../../../core/model/product-values';
import { taxClassNames } from '../../../../core/pricing/tax';
import type { FormProps } from '../form';
import { OneOf } from './one-of';

export function TaxClassForm({ change }: FormProps) {
  return (
    <OneOf
      label="Change their tax class to"
      choices={taxClasses.map((value) => ({ value, label: taxClassNames[value] }))}
      choose={(taxClass) => change({ do: 'taxClass', taxClass })}
    />
  );
}
