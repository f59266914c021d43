import { useState } from 'react';
import { X } from 'lucide-react';
import { newId } from '../../shared/new-id';
import type { OfferSettings, TaxSettings, TaxRates } from '../../../core/model/selling';
import { taxSettingsSchema } from '../../../core/model/selling';
import type { Rounding } from '../../../core/model/rounding';
import type { Settings } from '../../../core/model/settings';
import { floorWords } from '../../../core/pricing/offer-words';
import { useSettingsSave } from '../../shared/autosave/settings-save';
import { useField } from '../../shared/autosave/use-autosave';
import { Button } from '../../shared/ui/button';
import { MeasureField } from '../../shared/ui/measure-field';
import { MomentField } from '../../shared/ui/moment-field';
import { OneOf } from '../../shared/ui/one-of';
import { readPercent } from '../../shared/ui/readings';
import { SaveSheet, SheetPart } from '../../shared/ui/save-sheet';
import { SchemaField } from '../../shared/ui/schema-field';
import { Select } from '../../shared/ui/select';
import { Tick } from '../../shared/ui/tick';
import { Countries } from '../../shared/ui/countries';

const endings: Readonly<Record<string, { label: string; rounding: Rounding | null }>> = {
  none: { label: 'as they come', rounding: null },
  '90': { label: 'on .90', rounding: { step: 100, ending: 90, way: 'nearest' } },
  '95': { label: 'on .95', rounding: { step: 100, ending: 95, way: 'nearest' } },
  '99': { label: 'on .99', rounding: { step: 100, ending: 99, way: 'nearest' } },
  '00': { label: 'on whole amounts', rounding: { step: 100, ending: 0, way: 'nearest' } },
  '05': { label: 'on the nearest .05', rounding: { step: 5, ending: 0, way: 'nearest' } },
};
const endingOf = (rounding: Rounding | null) =>
  Object.entries(endings).find(([, each]) => JSON.stringify(each.rounding) === JSON.stringify(rounding))?.[0] ?? 'none';

const percentOrNone = (typed: string) => (typed.trim() === '' ? { value: null } : readPercent(typed));

interface RatesProps {
  rates: TaxRates;
  timeZone: string;
  isDated: boolean;
  change: (rates: TaxRates) => void;
  remove?: () => void;
}

function Rates({ rates, timeZone, isDated, change, remove }: RatesProps) {
  const percent = (key: 'standard' | 'reduced', label: string) => (
    <div className="w-28">
      <MeasureField
        label={label}
        shown={`${rates[key] / 100} %`}
        read={readPercent}
        change={(value) => change({ ...rates, [key]: value as number })}
      />
    </div>
  );
  return (
    <div className="flex flex-wrap items-end gap-3">
      {percent('standard', 'Standard')}
      {percent('reduced', 'Reduced')}
      {isDated && (
        <MomentField
          label="From"
          value={rates.from}
          timeZone={timeZone}
          change={(from) => change({ ...rates, from })}
        />
      )}
      {remove && (
        <Button look="bare" aria-label="Remove these rates" onClick={remove}>
          <X size={14} aria-hidden="true" />
        </Button>
      )}
    </div>
  );
}

/** Tax at home and elsewhere, and how far down offers go. */
export function TaxPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  const tax = useField<TaxSettings>(save, 'tax');
  const offers = useField<OfferSettings>(save, 'offers');
  const standard = useField<number>(save, 'taxRate');
  const reduced = useField<number>(save, 'reducedTaxRate');
  const included = useField<boolean>(save, 'taxIncluded');
  const [isAdding, setAdding] = useState(false);
  const set = (over: Partial<TaxSettings>) => tax.change({ ...tax.value, ...over });
  const { exempt, exemptWords, changes, zones } = tax.value;
  const { timeZone } = settings;
  const setZone = (id: string, over: Partial<TaxSettings['zones'][number]>) =>
    set({ zones: zones.map((zone) => (zone.id === id ? { ...zone, ...over } : zone)) });
  const start = { from: null, standard: standard.value, reduced: reduced.value };
  return (
    <SaveSheet save={save} error={tax.error ?? offers.error ?? standard.error ?? reduced.error ?? included.error}>
      <SheetPart title="Offers" about="What holds for all offers that say nothing else.">
        <div className="flex flex-wrap gap-4">
          <div className="w-64">
            <MeasureField
              label="Never below cost plus"
              hint={`Offers: ${floorWords({ floor: null }, offers.value.floor)}. Empty for no floor.`}
              placeholder="no floor"
              shown={offers.value.floor === null ? '' : `${offers.value.floor / 100} %`}
              read={percentOrNone}
              change={(floor) => offers.change({ ...offers.value, floor: floor as number | null })}
            />
          </div>
          <div>
            <span className="mb-1 block font-semibold">Prices of offers end</span>
            <Select
              label="Prices of offers end"
              value={endingOf(offers.value.rounding)}
              choices={Object.entries(endings).map(([value, { label }]) => ({ value, label }))}
              choose={(ending) => offers.change({ ...offers.value, rounding: endings[ending]!.rounding })}
            />
          </div>
        </div>
      </SheetPart>
      <SheetPart title="Tax in your country">
        <Tick
          label="We charge no tax (small-business exemption)"
          checked={exempt}
          change={(is) => set({ exempt: is })}
        />
        {exempt && (
          <SchemaField
            label="Printed on invoices"
            schema={taxSettingsSchema.shape.exemptWords}
            value={exemptWords}
            change={(words: string) => set({ exemptWords: words })}
          />
        )}
        {!exempt && (
          <>
            <Rates
              rates={start}
              timeZone={timeZone}
              isDated={false}
              change={(rates) => {
                if (rates.standard !== standard.value) standard.change(rates.standard);
                if (rates.reduced !== reduced.value) reduced.change(rates.reduced);
              }}
            />
            <OneOf
              label="The prices you type"
              choices={[
                { value: 'in', label: 'contain the tax' },
                { value: 'out', label: 'are without it' },
              ]}
              value={included.value ? 'in' : 'out'}
              choose={(value) => included.change(value === 'in')}
            />
            {changes.map((rates, i) => (
              <Rates
                key={i}
                rates={rates}
                timeZone={timeZone}
                isDated
                change={(next) => set({ changes: changes.map((each, at) => (at === i ? next : each)) })}
                remove={() => set({ changes: changes.filter((_, at) => at !== i) })}
              />
            ))}
            <Button
              look="bare"
              className="self-start"
              onClick={() =>
                set({
                  changes: [
                    ...changes,
                    {
                      ...start,
                      from: new Date(Math.ceil(Date.now() / 3_600_000) * 3_600_000 + 30 * 86_400_000).toISOString(),
                    },
                  ],
                })
              }
            >
              Add rates that hold from a day on
            </Button>
          </>
        )}
      </SheetPart>
      {!exempt && (
        <SheetPart
          title="Other countries"
          about="Where shoppers pay another tax. Countries that are not named pay that of your own."
        >
          {zones.map((zone) => (
            <div key={zone.id} className="sheet flex flex-col gap-3 p-3">
              <Countries
                label="Countries"
                codes={zone.countries}
                change={(countries) => countries.length > 0 && setZone(zone.id, { countries })}
              />
              <OneOf
                label="Shoppers there pay"
                choices={[
                  { value: 'same', label: 'the same prices, this tax in them' },
                  { value: 'added', label: 'prices without tax, this tax added' },
                ]}
                value={zone.prices}
                choose={(prices) => setZone(zone.id, { prices: prices as 'same' | 'added' })}
              />
              {zone.rates.map((rates, i) => (
                <Rates
                  key={i}
                  rates={rates}
                  timeZone={timeZone}
                  isDated={i > 0}
                  change={(next) => setZone(zone.id, { rates: zone.rates.map((each, at) => (at === i ? next : each)) })}
                  remove={i > 0 ? () => setZone(zone.id, { rates: zone.rates.filter((_, at) => at !== i) }) : undefined}
                />
              ))}
              <Button
                look="bare"
                className="self-start"
                onClick={() => set({ zones: zones.filter(({ id }) => id !== zone.id) })}
              >
                Remove these countries
              </Button>
            </div>
          ))}
          {isAdding ? (
            <Countries
              label="Which country?"
              codes={[]}
              change={(countries) => {
                set({ zones: [...zones, { id: newId('z'), countries, prices: 'same', rates: [start] }] });
                setAdding(false);
              }}
            />
          ) : (
            <Button className="self-start" onClick={() => setAdding(true)}>
              Add a country
            </Button>
          )}
        </SheetPart>
      )}
    </SaveSheet>
  );
}
