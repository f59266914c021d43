import type { ProductAnswer } from '../../../contract/goods';
import type { PackageSize } from '../../../core/catalog/product';
import { readMeasure, weightWords } from '../../../core/catalog/units';
import type { Autosave } from '../../use-autosave';
import { TextField } from '../../ui/field';
import { MeasureField } from '../../ui/measure-field';
import { fieldOf } from './fields';
import { Part } from './part';

/** "35 × 12 × 4 cm" or "350 x 120 x 40 mm" as mm; centimetres without a unit. */
function readSize(typed: string): { value: PackageSize | null } | { problem: string } {
  if (typed.trim() === '') return { value: null };
  const unit = /[a-z]+\s*$/i.exec(typed)?.[0].trim() ?? 'cm';
  const edges = typed
    .replace(/[a-z]+\s*$/i, '')
    .split(/[×x*]/i)
    .map((edge) => readMeasure(`${edge.trim()} ${unit}`, 'mm'));
  const [length, width, height] = edges.map((edge) => ('value' in edge ? Math.round(edge.value / 1000) : NaN));
  const isRight = edges.length === 3 && [length, width, height].every((edge) => edge !== undefined && edge > 0);
  return isRight
    ? { value: { length: length!, width: width!, height: height! } }
    : { problem: 'Type length × width × height, like 35 × 12 × 4 cm.' };
}

const sizeWords = (size: PackageSize | null) =>
  size ? `${size.length / 10} × ${size.width / 10} × ${size.height / 10} cm` : '';

const readDays = (typed: string) => {
  if (typed.trim() === '') return { value: null };
  return /^\d+$/.test(typed.trim()) ? { value: Number(typed) } : { problem: 'Type whole days, like 2.' };
};

export function Delivery({ answer: { product }, save }: { answer: ProductAnswer; save: Autosave }) {
  const weight = fieldOf(product, save, 'weight');
  const size = fieldOf(product, save, 'size');
  const sort = fieldOf(product, save, 'packageSort');
  const days = fieldOf(product, save, 'dispatchDays');
  return (
    <Part id="delivery" title="Delivery">
      <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        <MeasureField
          label="Weight"
          hint="350 g or 1.2 kg; the column Weight holds where a variant differs"
          shown={weight.value === null ? '' : weightWords(weight.value)}
          read={(typed) => {
            if (typed.trim() === '') return { value: null };
            const read = readMeasure(/[a-z]/i.test(typed) ? typed : `${typed} g`, 'kg');
            return 'problem' in read ? { problem: 'Type a weight, like 350 g or 1.2 kg.' } : read;
          }}
          error={weight.error}
          unsaved={weight.unsaved}
          change={(value) => weight.change(value as number | null)}
        />
        <MeasureField
          label="Package size"
          hint="length × width × height"
          placeholder="35 × 12 × 4 cm"
          shown={sizeWords(size.value)}
          read={readSize}
          error={size.error}
          unsaved={size.unsaved}
          change={(value) => size.change(value as PackageSize | null)}
        />
        <TextField
          label="Sort of package"
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
          read={readDays}
          error={days.error}
          unsaved={days.unsaved}
          change={(value) => days.change(value as number | null)}
        />
      </div>
    </Part>
  );
}
