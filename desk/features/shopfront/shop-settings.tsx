import { currencies, type Settings } from '../../../core/model/settings';
import type { Typed } from '../../../contract/shop-window';
import type { Autosave } from '../../shared/autosave/autosave';
import { everythingSaved } from '../../shared/autosave/unsaved';
import { useField, useText } from '../../shared/autosave/use-autosave';
import { useDrawnDrafts } from '../../shared/autosave/use-drawn-drafts';
import type { Values } from '../../shared/autosave/step';
import { Choose } from '../../shared/ui/choose';
import { Clashes } from '../../shared/ui/clashes';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { MeasureField } from '../../shared/ui/measure-field';
import { readPercent } from '../../shared/ui/readings';
import { SaveStateWords } from '../../shared/ui/save-state';
import { Select } from '../../shared/ui/select';
import { Tick } from '../../shared/ui/tick';
import { useSettingsSave } from './settings-save';

const timeZones = Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, label: zone.replace(/_/g, ' ') }));

function RateField({ save, name, label }: { save: Autosave; name: 'taxRate' | 'reducedTaxRate'; label: string }) {
  const { value, change, ...rest } = useField<number>(save, name);
  return (
    <MeasureField
      label={label}
      shown={`${value / 100} %`}
      read={readPercent}
      change={(next) => change(next as number)}
      className="!w-24 text-right"
      {...rest}
    />
  );
}

const drawnSettings = ({ name, tagline }: Values): Typed => ({
  of: 'shop',
  fields: { name: name as string | undefined, tagline: tagline as string | undefined },
});

/** What holds for the whole shop: its name, its money and its clock. */
export function ShopSettings({ settings, close }: { settings: Settings; close: () => void }) {
  const save = useSettingsSave(settings);
  useDrawnDrafts(save, drawnSettings);
  const name = useText(save, 'name');
  const tagline = useText(save, 'tagline');
  const currency = useField<Settings['currency']>(save, 'currency');
  const included = useField<boolean>(save, 'taxIncluded');
  const zone = useField<string>(save, 'timeZone');
  return (
    <Dialog title="The shop" isOpen close={() => void everythingSaved().then((isSaved) => isSaved && close())}>
      <div className="flex flex-col gap-3">
        <TextField label="Name" {...name} />
        <TextField label="In one sentence" hint="for search engines and the foot of each page" {...tagline} />
        <div className="flex flex-wrap items-end gap-4">
          <div>
            <span className="mb-1 block font-semibold">Currency</span>
            <Select
              label="Currency"
              value={currency.value}
              choices={currencies.map((value) => ({ value, label: value }))}
              choose={(value) => currency.change(value as Settings['currency'])}
              className="w-24 !py-[6px]"
            />
          </div>
          <RateField save={save} name="taxRate" label="Tax" />
          <RateField save={save} name="reducedTaxRate" label="Reduced tax" />
        </div>
        <Tick label="Prices contain the tax" checked={included.value} change={included.change} />
        <div>
          <span className="mb-1 block font-semibold">Time zone</span>
          <div className="flex items-center gap-3">
            {zone.value.replace(/_/g, ' ')}
            <Choose label="Another time zone" choices={timeZones} choose={zone.change} className="w-56" />
          </div>
          {zone.error && (
            <p role="alert" className="mt-1 text-rose-ink">
              {zone.error}
            </p>
          )}
        </div>
        <p className="text-xs text-ink-2">
          Amounts stay as they are when the currency changes. Shoppers see all of this with the next edition.
        </p>
        <Clashes save={save} />
        <SaveStateWords save={save} />
      </div>
    </Dialog>
  );
}
