import { currencies, type Settings } from '../../../../core/model/settings';
import type { Typed } from '../../../../contract/shop-window';
import type { Autosave } from '../../../shared/autosave/autosave';
import { useField, useText } from '../../../shared/autosave/use-autosave';
import { useDrawnDrafts } from '../../../shared/autosave/use-drawn-drafts';
import type { Values } from '../../../shared/autosave/step';
import { Choose } from '../../../shared/ui/choose';
import { TextField } from '../../../shared/ui/field';
import { MeasureField } from '../../../shared/ui/measure-field';
import { readPercent } from '../../../shared/ui/readings';
import { Select } from '../../../shared/ui/select';
import { Tick } from '../../../shared/ui/tick';
import { useShopWindow } from '../../../shared/window-state';
import { SheetPart, SaveSheet } from '../../../shared/ui/save-sheet';
import { useSettingsSave } from '../../../shared/autosave/settings-save';

const timeZones = Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, label: zone.replace(/_/g, ' ') }));

/** Languages in which a shop writes amounts and days; its fixed words are English so far. */
const languages = ['en', 'de', 'nl', 'fr', 'es', 'it', 'pt', 'da', 'sv', 'nb', 'pl', 'cs'];
const languageName = (locale: string) => new Intl.DisplayNames('en', { type: 'language' }).of(locale) ?? locale;

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
export function TheShop({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  useDrawnDrafts(save, drawnSettings);
  useShopWindow('/');
  const name = useText(save, 'name');
  const tagline = useText(save, 'tagline');
  const currency = useField<Settings['currency']>(save, 'currency');
  const included = useField<boolean>(save, 'taxIncluded');
  const zone = useField<string>(save, 'timeZone');
  const locale = useField<string>(save, 'locale');
  const offered = languages.includes(locale.value) ? languages : [locale.value, ...languages];
  return (
    <SaveSheet save={save}>
      <SheetPart title="The shop">
        <div className="flex max-w-lg flex-col gap-3">
          <TextField label="Name" {...name} />
          <TextField label="In one sentence" hint="for search engines and the foot of each page" {...tagline} />
        </div>
      </SheetPart>
      <SheetPart title="Money and tax" about="Amounts stay as they are when the currency changes.">
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
      </SheetPart>
      <SheetPart title="Language and time">
        <div>
          <span className="mb-1 block font-semibold">Amounts and days are written as in</span>
          <Select
            label="Language"
            value={locale.value}
            choices={offered.map((value) => ({ value, label: languageName(value) }))}
            choose={locale.change}
            className="w-52 !py-[6px]"
          />
        </div>
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
      </SheetPart>
    </SaveSheet>
  );
}
