import { useState } from 'react';
import type { PackageSize } from '../../../../core/model/product-values';
import { packageWords, readSize, weightWords } from '../../../../core/shared/units';
import { TextField } from '../../../shared/ui/field';
import { MeasureField } from '../../../shared/ui/measure-field';
import { readWeight, readWholeOrNone } from '../../../shared/ui/readings';
import { Tick } from '../../../shared/ui/tick';
import type { FormProps } from '../form';

interface Delivery {
  weight?: number | null;
  size?: PackageSize | null;
  packageType?: string;
  dispatchDays?: number | null;
}

export function DeliveryForm({ change }: FormProps) {
  const [facts, setFacts] = useState<Delivery>({});
  const set = (next: Delivery) => {
    const after = { ...facts, ...next };
    setFacts(after);
    change(Object.keys(after).length > 0 ? { do: 'delivery', ...after } : undefined);
  };
  const drop = (name: keyof Delivery) => {
    const { [name]: _gone, ...rest } = facts;
    setFacts(rest);
    change(Object.keys(rest).length > 0 ? { do: 'delivery', ...rest } : undefined);
  };
  const has = (name: keyof Delivery) => name in facts;
  return (
    <>
      <p className="text-ink-2">Only what is ticked is changed; an empty field takes the fact away.</p>
      <Tick label="Weight" checked={has('weight')} change={(is) => (is ? set({ weight: null }) : drop('weight'))} />
      {has('weight') && (
        <MeasureField
          label="Weight"
          hideLabel
          placeholder="350 g"
          shown={facts.weight ? weightWords(facts.weight) : ''}
          read={readWeight}
          change={(weight) => set({ weight: weight as number | null })}
        />
      )}
      <Tick label="Package size" checked={has('size')} change={(is) => (is ? set({ size: null }) : drop('size'))} />
      {has('size') && (
        <MeasureField
          label="Package size"
          hideLabel
          placeholder="35 × 12 × 4 cm"
          shown={packageWords(facts.size ?? null)}
          read={readSize}
          change={(size) => set({ size: size as PackageSize | null })}
        />
      )}
      <Tick
        label="Package type"
        checked={has('packageType')}
        change={(is) => (is ? set({ packageType: '' }) : drop('packageType'))}
      />
      {has('packageType') && (
        <TextField
          label="Package type"
          hideLabel
          value={facts.packageType}
          onChange={(event) => set({ packageType: event.target.value })}
        />
      )}
      <Tick
        label="Days to dispatch"
        checked={has('dispatchDays')}
        change={(is) => (is ? set({ dispatchDays: null }) : drop('dispatchDays'))}
      />
      {has('dispatchDays') && (
        <MeasureField
          label="Days to dispatch"
          hideLabel
          shown={String(facts.dispatchDays ?? '')}
          read={readWholeOrNone}
          change={(days) => set({ dispatchDays: days as number | null })}
        />
      )}
    </>
  );
}
