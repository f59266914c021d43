import { MeasureField } from '../../../shared/ui/measure-field';
import { readPercent } from '../../../shared/ui/readings';

export const percentWords = (points: number) => `${points / 100} %`;

/** The floor that prices are held at. */
export function FloorField({ value, change }: { value: number | null; change: (value: number | null) => void }) {
  return (
    <div className="flex items-end gap-2">
      <MeasureField
        label="Never below cost plus"
        hint="with tax on top where prices include it"
        placeholder="no floor"
        shown={value === null ? '' : percentWords(value)}
        read={(typed) => (typed.trim() === '' ? { value: null } : readPercent(typed))}
        change={(next) => change(next as number | null)}
        className="!w-28"
      />
    </div>
  );
}
