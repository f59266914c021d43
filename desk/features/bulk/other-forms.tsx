import { useState } from 'react';
import { lastDayWords } from './words';
import { packageWords, readSize, weightWords } from '../../../core/shared/units';
import type { PackageSize, Standing } from '../../../core/model/product-values';
import type { SpecValue } from '../../../core/model/spec-sheet';
import { useSpecSheets } from '../../data/goods';
import { SpecField } from '../../shared/pickers/spec-field';
import { TextField } from '../../shared/ui/field';
import { MeasureField } from '../../shared/ui/measure-field';
import { MomentField } from '../../shared/ui/moment-field';
import { readWeight, readWhole, readWholeOrNone, type Reading } from '../../shared/ui/readings';
import { Select } from '../../shared/ui/select';
import { Tick } from '../../shared/ui/tick';
import type { FormProps } from './form';

/** One of a few things, nothing chosen at first. */
function OneOf<T extends string>({
  label,
  choices,
  choose,
}: {
  label: string;
  choices: readonly { value: T; label: string }[];
  choose: (value: T) => void;
}) {
  const [chosen, setChosen] = useState<T>();
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{label}</legend>
      {choices.map(({ value, label: words }) => (
        <label key={value} className="flex items-center gap-2 py-0.5">
          <input
            type="radio"
            name={label}
            checked={chosen === value}
            onChange={() => {
              setChosen(value);
              choose(value);
            }}
            className="size-4 accent-petrol"
          />
          {words}
        </label>
      ))}
    </fieldset>
  );
}

export function StandingForm({ change }: FormProps) {
  return (
    <OneOf<Standing>
      label="They become"
      choices={[
        { value: 'live', label: 'on the shop, with the next edition' },
        { value: 'draft', label: 'drafts' },
        { value: 'off', label: 'off the shop' },
      ]}
      choose={(standing) => change({ do: 'standing', standing })}
    />
  );
}

export function DaysForm({ change, timeZone }: FormProps) {
  const [days, setDays] = useState<{ from: string | null; until: string | null }>({ from: null, until: null });
  const set = (next: Partial<typeof days>) => {
    const after = { ...days, ...next };
    setDays(after);
    change({ do: 'days', ...after });
  };
  return (
    <>
      <MomentField label="On the shop from" value={days.from} timeZone={timeZone} change={(from) => set({ from })} />
      <MomentField label="Until" value={days.until} timeZone={timeZone} change={(until) => set({ until })} />
      <p className="text-ink-2">{lastDayWords(days)}</p>
    </>
  );
}

export function FeaturedForm({ change }: FormProps) {
  return (
    <OneOf
      label="They are"
      choices={[
        { value: 'yes', label: 'featured, behind those that are already' },
        { value: 'no', label: 'featured no longer' },
      ]}
      choose={(value) => change({ do: 'featured', featured: value === 'yes' })}
    />
  );
}

export function PicturesForm({ change }: FormProps) {
  return (
    <OneOf
      label="Their pictures"
      choices={[
        { value: 'fills', label: 'fill the frame, around their focus point' },
        { value: 'fits', label: 'fit into it, wholly visible' },
      ]}
      choose={(fit) => change({ do: 'pictures', fit })}
    />
  );
}

const stockHows = [
  { value: 'set', label: 'Set it to' },
  { value: 'add', label: 'Add or, with a minus, take' },
  { value: 'uncounted', label: 'Do not count it any more' },
];

export function StockForm({ change }: FormProps) {
  const [how, setHow] = useState('set');
  const read = (typed: string): Reading<number> =>
    how === 'add' && /^\s*[-−]/.test(typed) ? negative(readWhole(typed.replace(/^\s*[-−]/, ''))) : readWhole(typed);
  return (
    <>
      <Select
        label="Stock of every variant"
        value={how}
        choices={stockHows}
        choose={(next) => {
          setHow(next);
          change(next === 'uncounted' ? { do: 'stock', how: 'uncounted' } : undefined);
        }}
        className="self-start"
      />
      {how !== 'uncounted' && (
        <MeasureField
          key={how}
          label="Pieces, for every variant"
          shown=""
          read={read}
          change={(pieces) => change({ do: 'stock', how: how as 'set', pieces: pieces as number })}
          className="!w-28"
        />
      )}
    </>
  );
}

const negative = (read: Reading<number>): Reading<number> => ('value' in read ? { value: -read.value } : read);

interface Delivery {
  weight?: number | null;
  size?: PackageSize | null;
  packageSort?: string;
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
        label="Sort of package"
        checked={has('packageSort')}
        change={(is) => (is ? set({ packageSort: '' }) : drop('packageSort'))}
      />
      {has('packageSort') && (
        <TextField
          label="Sort of package"
          hideLabel
          value={facts.packageSort}
          onChange={(event) => set({ packageSort: event.target.value })}
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

export function SpecsForm({ change }: FormProps) {
  const { data } = useSpecSheets();
  const sheets = data?.sheets ?? [];
  const [sheetId, setSheetId] = useState<string>();
  const [values, setValues] = useState<Record<string, SpecValue | null>>({});
  const sheet = sheets.find(({ id }) => id === sheetId);
  const set = (next: Record<string, SpecValue | null>) => {
    setValues(next);
    change(sheetId && Object.keys(next).length > 0 ? { do: 'specs', sheetId, values: next } : undefined);
  };
  return (
    <>
      <Select
        label="Spec sheet"
        value={sheetId ?? ''}
        choices={sheets.map(({ id, name }) => ({ value: id, label: name }))}
        choose={(id) => {
          setSheetId(id);
          setValues({});
          change(undefined);
        }}
        className="self-start"
      />
      {sheet?.attributes.map((attribute) => {
        const { id, name } = attribute;
        const isAsked = id in values;
        return (
          <div key={id}>
            <Tick
              label={name}
              checked={isAsked}
              change={(is) => {
                const { [id]: _gone, ...rest } = values;
                set(is ? { ...values, [id]: null } : rest);
              }}
            />
            {isAsked && (
              <SpecField
                attribute={attribute}
                value={values[id] ?? undefined}
                change={(value) => set({ ...values, [id]: value ?? null })}
              />
            )}
          </div>
        );
      })}
      {sheet && <p className="text-ink-2">Only what is ticked is changed; an empty field takes the value away.</p>}
    </>
  );
}
