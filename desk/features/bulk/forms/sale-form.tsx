import { useState } from 'react';
import type { SaleWork } from '../../../../core/bulk/actions/sale';
import { MeasureField } from '../../../shared/ui/measure-field';
import { MomentField } from '../../../shared/ui/moment-field';
import { readPercent } from '../../../shared/ui/readings';
import { Select } from '../../../shared/ui/select';
import type { FormProps } from '../form';
import { FloorField, percentWords } from './floor-field';
import { RoundingField } from './rounding-field';

export function SaleForm({ change, timeZone }: FormProps) {
  const [isOn, setOn] = useState(true);
  const [work, setWork] = useState<SaleWork>({
    do: 'sale',
    off: null,
    from: null,
    until: null,
    rounding: null,
    floor: null,
  });
  const set = (next: Partial<SaleWork>) => {
    const after = { ...work, ...next };
    setWork(after);
    change(after.off === null ? undefined : after);
  };
  return (
    <>
      <Select
        label="Sale"
        value={isOn ? 'on' : 'off'}
        choices={[
          { value: 'on', label: 'Reduce them' },
          { value: 'off', label: 'End their sale' },
        ]}
        choose={(value) => {
          setOn(value === 'on');
          change(
            value === 'on' ? (work.off === null ? undefined : work) : { ...work, off: null, from: null, until: null },
          );
        }}
        className="min-w-44 self-start"
      />
      {isOn && (
        <>
          <MeasureField
            label="Off the price"
            placeholder="20 %"
            shown={work.off === null ? '' : percentWords(work.off)}
            read={readPercent}
            change={(off) => set({ off: off as number })}
            className="!w-28"
          />
          <MomentField label="From" value={work.from} timeZone={timeZone} change={(from) => set({ from })} />
          <MomentField label="Until" value={work.until} timeZone={timeZone} change={(until) => set({ until })} />
          <RoundingField value={work.rounding} change={(rounding) => set({ rounding })} />
          <FloorField value={work.floor} change={(floor) => set({ floor })} />
        </>
      )}
    </>
  );
}
