import type { PackageSize } from '../../../../core/model/product-values';
import { packageWords, readSize, weightWords } from '../../../../core/shared/units';
import type { Autosave } from '../../../shared/autosave/autosave';
import { TextField } from '../../../shared/ui/field';
import { MeasureField } from '../../../shared/ui/measure-field';
import { readWeight, readWholeOrNone } from '../../../shared/ui/readings';
import { useProductField } from './use-product-autosave';
import { Part } from './part';

export function Delivery({ save }: { save: Autosave }) {
  const weight = useProductField(save, 'weight');
  const size = useProductField(save, 'size');
  const sort = useProductField(save, 'packageType');
  const days = useProductField(save, 'dispatchDays');
  return (
    <Part
      id="delivery"
      title="Delivery"
      hint="of every variant, but for what the columns of the table say of single ones"
    >
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <MeasureField
          label="Weight"
          hint="350 g or 1.2 kg"
          shown={weight.value === null ? '' : weightWords(weight.value)}
          read={readWeight}
          error={weight.error}
          unsaved={weight.unsaved}
          change={(value) => weight.change(value as number | null)}
        />
        <MeasureField
          label="Package size"
          hint="length × width × height"
          placeholder="35 × 12 × 4 cm"
          shown={packageWords(size.value)}
          read={readSize}
          error={size.error}
          unsaved={size.unsaved}
          change={(value) => size.change(value as PackageSize | null)}
        />
        <TextField
          label="Package type"
          placeholder="tube, letter, parcel …"
          value={sort.value}
          error={sort.error}
          unsaved={sort.unsaved}
          onChange={(event) => sort.change(event.target.value)}
        />
        <MeasureField
          label="Days to dispatch"
          hint="0: on the same day"
          shown={days.value === null ? '' : String(days.value)}
          read={readWholeOrNone}
          error={days.error}
          unsaved={days.unsaved}
          change={(value) => days.change(value as number | null)}
        />
      </div>
    </Part>
  );
}
