import { routes } from '../../../../contract';
import type { ProductAnswer } from '../../../../contract/product';
import { kindParts } from '../../../../core/products/kinds';
import { readAmount } from '../../../shared/ui/readings';
import { plainAmount } from '../../../../core/shared/money';
import { type Product } from '../../../../core/model/product';
import { productKinds, type ProductKind } from '../../../../core/model/product-values';
import { durationWords, readDuration } from '../../../../core/shared/units';
import { call } from '../../../data/api';
import type { Autosave } from '../../../shared/autosave/autosave';
import { useConfirmedWrite } from '../../../shared/ui/confirm';
import { MeasureField } from '../../../shared/ui/measure-field';
import { Select } from '../../../shared/ui/select';
import { Tick } from '../../../shared/ui/tick';
import { useKeepProduct } from '../../../data/goods';
import { useProductField } from './use-product-autosave';
import { Part } from './part';

/** Makes the product one of another kind; says first what that would lose. */
export function KindChoice({ answer: { product, revision } }: { answer: ProductAnswer }) {
  const keep = useKeepProduct();
  const [write, dialog] = useConfirmedWrite();
  const set = (kind: ProductKind) =>
    write(async (confirmed) => {
      const body = { seen: revision, fields: { kind }, confirmed };
      keep(await call(routes.goods.update, { params: { id: product.id }, body }));
    }, 'Change the kind');
  return (
    <>
      <Select
        label="Kind"
        value={product.kind}
        choices={productKinds.map((value) => ({ value, label: kindParts[value].offered }))}
        choose={(kind) => set(kind as ProductKind)}
      />
      {dialog}
    </>
  );
}

const USUAL_OWN_VALUE: NonNullable<Product['ownValue']> = { from: 1_000, upTo: 20_000 };

function OwnValue({ save }: { save: Autosave }) {
  const { value, error, change } = useProductField(save, 'ownValue');
  return (
    <Part
      id="gift-card"
      title="Gift card"
      hint="its values are an option with a price each; shoppers may also choose their own"
    >
      <Tick
        label="Shoppers may choose the value"
        checked={value !== null}
        change={(checked) => change(checked ? USUAL_OWN_VALUE : null)}
      />
      {value && (
        <div className="mt-2 flex gap-3">
          <MeasureField
            label="From"
            shown={plainAmount(value.from)}
            read={readAmount}
            change={(from) => change({ ...value, from: from as number })}
            className="!w-28 text-right"
          />
          <MeasureField
            label="Up to"
            shown={plainAmount(value.upTo)}
            read={readAmount}
            error={error}
            change={(upTo) => change({ ...value, upTo: upTo as number })}
            className="!w-28 text-right"
          />
        </div>
      )}
    </Part>
  );
}

/** The part that only products of this kind have. */
export function KindPart({ kind, save }: { kind: ProductKind; save: Autosave }) {
  const parts = kindParts[kind];
  const duration = useProductField(save, 'duration');
  if (parts.ownValue) return <OwnValue save={save} />;
  if (!parts.duration) return null;
  return (
    <Part id="service" title="Service" hint="the column Places limits how many can book; leave it empty for no limit">
      <MeasureField
        label="How long it takes"
        placeholder="90 min, 3 h, 2 h 30"
        shown={duration.value === null ? '' : durationWords(duration.value)}
        read={readDuration}
        error={duration.error}
        unsaved={duration.unsaved}
        change={(value) => duration.change(value as number | null)}
        className="!w-48"
      />
    </Part>
  );
}
