import { AddProduct } from '../../../shared/pickers/add-product';
import { TextArea } from '../../../shared/ui/field';
import { ChoiceRow } from '../fields/choice-row';
import { TargetName } from '../../../shared/pickers/target-words';
import type { SectionFieldsProps } from './section-fields';
import { SectionTitle } from './section-title';

export function ProductFields({ section, errors, change }: SectionFieldsProps<'product'>) {
  const { productId } = section;
  return (
    <>
      {productId ? (
        <TargetName to={{ kind: 'product', id: productId }} remove={() => change({ ...section, productId: null })} />
      ) : (
        <AddProduct taken={[]} add={(id) => change({ ...section, productId: id })} />
      )}
      {errors.productId && (
        <p role="alert" className="text-rose-ink">
          {errors.productId}
        </p>
      )}
      <SectionTitle section={section} errors={errors} change={change} placeholder="the title of the product" />
      <TextArea
        label="Words"
        rows={3}
        placeholder="the summary of the product"
        value={section.text}
        error={errors.text}
        onChange={(event) => change({ ...section, text: event.target.value })}
      />
      <ChoiceRow
        label="Pictures"
        value={section.pictures}
        choices={[
          { value: 'all', label: 'all' },
          { value: 'face', label: 'the first' },
        ]}
        choose={(pictures) => change({ ...section, pictures })}
      />
      <ChoiceRow
        label="on the"
        value={section.side}
        choices={[
          { value: 'left', label: 'left' },
          { value: 'right', label: 'right' },
        ]}
        choose={(side) => change({ ...section, side })}
      />
    </>
  );
}
