import { useCallback } from 'react';
import { routes } from '../../../contract';
import { currencies, type Settings } from '../../../core/model/settings';
import { call } from '../../data/api';
import type { Typed } from '../../../contract/shop-window';
import type { Autosave } from '../../shared/autosave/autosave';
import { everythingSaved } from '../../shared/autosave/unsaved';
import { useAutosave, useField, useText } from '../../shared/autosave/use-autosave';
import { useDrawnDrafts } from '../../shared/autosave/use-drawn-drafts';
import type { Values } from '../../shared/autosave/step';
import { Choose } from '../../shared/ui/choose';
import { Clashes } from '../../shared/ui/clashes';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { MeasureField } from '../../shared/ui/measure-field';
import { readPercent, type Reading } from '../../shared/ui/readings';
import { SaveStateWords } from '../../shared/ui/save-state';
import { Select } from '../../shared/ui/select';
import { Tick } from '../../shared/ui/tick';

const timeZones = Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, label: zone.replace(/_/g, ' ') }));

const linesOf = (groups: readonly (readonly string[])[]) => groups.map((group) => group.join(', ')).join('\n');

/** Words that mean the same, one group a line. */
function readSynonyms(typed: string): Reading<string[][]> {
  const lines = typed.split('\n').map((line) =>
    line
      .split(',')
      .map((word) => word.trim())
      .filter(Boolean),
  );
  const alone = lines.find((words) => words.length === 1);
  if (alone)
    return { problem: `“${alone[0]}” stands alone in its line: add a word that means the same, after a comma.` };
  return { value: lines.filter((words) => words.length > 1) };
}

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
  const shown = useCallback((key: string): unknown => settings[key as keyof Settings], [settings]);
  const save = useAutosave(shown, 0, {
    save: async ({ values, was }) => ({
      saved: await call(routes.shopfront.setSettings, { body: { ...(values as Partial<Settings>), was } }),
    }),
    keyOf: (path) => String(path[0]),
  });
  useDrawnDrafts(save, drawnSettings);
  const name = useText(save, 'name');
  const tagline = useText(save, 'tagline');
  const currency = useField<Settings['currency']>(save, 'currency');
  const included = useField<boolean>(save, 'taxIncluded');
  const zone = useField<string>(save, 'timeZone');
  const synonyms = useField<string[][]>(save, 'synonyms');
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
        <MeasureField
          label="Words that mean the same"
          hint="For searching, in the shop and here: one group a line, such as “spar, rod, stick”. A search for one finds the others too."
          rows={4}
          shown={linesOf(synonyms.value)}
          read={readSynonyms}
          error={synonyms.error}
          unsaved={synonyms.unsaved}
          change={(groups) => synonyms.change(groups as string[][])}
        />
        <p className="text-xs text-ink-2">
          Amounts stay as they are when the currency changes. Shoppers see all of this with the next edition.
        </p>
        <Clashes save={save} />
        <SaveStateWords save={save} />
      </div>
    </Dialog>
  );
}
