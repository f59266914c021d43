import { useState } from 'react';
import type { PriceWork } from '../../../../core/bulk/actions/price';
import { parseMoney, plainAmount } from '../../../../core/shared/money';
import { shopLocale } from '../../../data/shop-locale';
import { MeasureField } from '../../../shared/ui/measure-field';
import { readPercent, type Reading } from '../../../shared/ui/readings';
import { Select } from '../../../shared/ui/select';
import type { FormProps } from '../form';
import { FloorField, percentWords } from './floor-field';
import { RoundingField } from './rounding-field';

function readSigned(typed: string): Reading<number> {
  const sign = /^\s*[-−]/.test(typed) ? -1 : 1;
  const read = readPercent(typed.replace(/^\s*[-−+]/, ''));
  return 'value' in read ? { value: sign * read.value } : { problem: 'Type a percentage, such as 4 or −10.' };
}

function readAmount(typed: string): Reading<number> {
  const amount = parseMoney(typed.replace('−', '-').replace(/^\s*\+/, ''), shopLocale());
  return amount === undefined ? { problem: 'Type an amount, such as 2.50.' } : { value: amount };
}

const hows: { value: PriceWork['by']['how']; label: string; first: PriceWork['by'] }[] = [
  { value: 'percent', label: 'by a percentage', first: { how: 'percent', more: 0 } },
  { value: 'amount', label: 'by an amount', first: { how: 'amount', more: 0 } },
  { value: 'set', label: 'to one price', first: { how: 'set', amount: 0 } },
  { value: 'margin', label: 'from cost, by margin', first: { how: 'margin', share: 4_000 } },
  { value: 'markUp', label: 'from cost, by mark-up', first: { how: 'markUp', share: 10_000 } },
];

export function PriceForm({ change }: FormProps) {
  const [work, setWork] = useState<PriceWork>({
    do: 'price',
    by: { how: 'percent', more: 0 },
    rounding: null,
    floor: null,
  });
  const set = (next: Partial<PriceWork>) => {
    const after = { ...work, ...next };
    setWork(after);
    const { by } = after;
    change((by.how === 'percent' || by.how === 'amount') && by.more === 0 ? undefined : after);
  };
  const { by } = work;
  return (
    <>
      <div>
        <span className="mb-1 block font-semibold">Change prices</span>
        <Select
          label="Change prices"
          value={by.how}
          choices={hows}
          choose={(how) => set({ by: hows.find((each) => each.value === how)!.first })}
          className="min-w-44"
        />
      </div>
      {(by.how === 'percent' || by.how === 'amount') && (
        <MeasureField
          key={by.how}
          label="Change by (use a minus to lower)"
          placeholder={by.how === 'percent' ? '4 %' : '2.50'}
          shown={by.more === 0 ? '' : by.how === 'percent' ? percentWords(by.more) : plainAmount(by.more)}
          read={by.how === 'percent' ? readSigned : readAmount}
          change={(more) => set({ by: { how: by.how, more: more as number } })}
          className="!w-28"
        />
      )}
      {by.how === 'set' && (
        <MeasureField
          label="Price"
          shown={by.amount === 0 ? '' : plainAmount(by.amount)}
          read={readAmount}
          change={(amount) => set({ by: { how: 'set', amount: amount as number } })}
          className="!w-28"
        />
      )}
      {(by.how === 'margin' || by.how === 'markUp') && (
        <MeasureField
          key={by.how}
          label={by.how === 'margin' ? 'Share of the price that is earned' : 'On top of cost'}
          shown={percentWords(by.share)}
          read={readPercent}
          change={(share) => set({ by: { how: by.how, share: share as number } })}
          className="!w-28"
        />
      )}
      <RoundingField value={work.rounding} change={(rounding) => set({ rounding })} />
      <FloorField value={work.floor} change={(floor) => set({ floor })} />
    </>
  );
}
