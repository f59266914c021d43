import type { Rounding } from '../../../../core/model/rounding';
import { Select } from '../../../shared/ui/select';

const endings: { value: string; label: string; rounding: Pick<Rounding, 'step' | 'ending'> | null }[] = [
  { value: 'none', label: 'to the cent', rounding: null },
  { value: '5', label: 'to 5 cents', rounding: { step: 5, ending: 0 } },
  { value: '50', label: 'to 50 cents', rounding: { step: 50, ending: 0 } },
  { value: '.00', label: 'to whole amounts', rounding: { step: 100, ending: 0 } },
  { value: '.90', label: 'to end in .90', rounding: { step: 100, ending: 90 } },
  { value: '.95', label: 'to end in .95', rounding: { step: 100, ending: 95 } },
  { value: '.99', label: 'to end in .99', rounding: { step: 100, ending: 99 } },
  { value: '9.90', label: 'to end in 9.90', rounding: { step: 1_000, ending: 990 } },
];
const ways = [
  { value: 'nearest', label: 'nearest' },
  { value: 'up', label: 'upwards' },
  { value: 'down', label: 'downwards' },
];

/** How new prices end. */
export function RoundingField({ value, change }: { value: Rounding | null; change: (value: Rounding | null) => void }) {
  const chosen = endings.find(({ rounding }) => rounding?.step === value?.step && rounding?.ending === value?.ending);
  return (
    <div>
      <span className="mb-1 block font-semibold">Rounded</span>
      <div className="flex gap-2">
        <Select
          label="Rounded"
          value={chosen?.value ?? 'none'}
          choices={endings}
          choose={(next) => {
            const { rounding } = endings.find((each) => each.value === next)!;
            change(rounding && { ...rounding, way: value?.way ?? 'nearest' });
          }}
          className="min-w-36"
        />
        {value && (
          <Select
            label="Which way"
            value={value.way}
            choices={ways}
            choose={(way) => change({ ...value, way: way as Rounding['way'] })}
          />
        )}
      </div>
    </div>
  );
}
