import { useState } from 'react';
import { routes } from '../../contract';
import { currencies, type Settings } from '../../core/placement/page';
import { call } from '../api';
import { useAutosave } from '../use-autosave';
import { Choose } from '../ui/choose';
import { Clashes } from '../ui/clashes';
import { Dialog } from '../ui/dialog';
import { TextArea, TextField } from '../ui/field';
import { MeasureField } from '../ui/measure-field';
import { readPercent } from '../ui/readings';
import { SaveStateWords } from '../ui/save-state';
import { Select } from '../ui/select';
import { Tick } from '../ui/tick';

const timeZones = Intl.supportedValuesOf('timeZone').map((zone) => ({ value: zone, label: zone.replace(/_/g, ' ') }));

const linesOf = (groups: readonly (readonly string[])[]) => groups.map((group) => group.join(', ')).join('\n');

/** Words that mean the same, one group a line; what is typed stays as it is until the field is left. */
function SynonymsField({
  value,
  error,
  change,
}: {
  value: string[][];
  error?: string;
  change: (groups: string[][]) => void;
}) {
  const [typed, setTyped] = useState<string>();
  return (
    <TextArea
      label="Words that mean the same"
      hint="For searching, in the shop and here: one group a line, such as “spar, rod, stick”. A search for one finds the others too."
      rows={4}
      error={error}
      value={typed ?? linesOf(value)}
      onChange={(event) => {
        setTyped(event.target.value);
        const groups = event.target.value.split('\n').map((line) =>
          line
            .split(',')
            .map((word) => word.trim())
            .filter(Boolean),
        );
        change(groups.filter((group) => group.length > 1));
      }}
      onBlur={() => setTyped(undefined)}
    />
  );
}

/** What holds for the whole shop: its name, its money and its clock. */
export function ShopSettings({ settings, close }: { settings: Settings; close: () => void }) {
  const save = useAutosave({
    seen: 0,
    shown: settings,
    save: async (values, _seen, was) => {
      await call(routes.shopfront.setSettings, { body: { ...(values as Partial<Settings>), was } });
      return 0;
    },
    keyOf: (path) => String(path[0]),
  });
  const bind = <K extends keyof Settings>(name: K) => ({
    value: (name in save.drafts ? save.drafts[name] : settings[name]) as Settings[K],
    error: save.errors[name],
    unsaved: name in save.drafts,
    change: (value: Settings[K]) => save.change({ [name]: value }),
  });
  const rate = (name: 'taxRate' | 'reducedTaxRate', label: string) => {
    const { value, change, ...rest } = bind(name);
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
  };
  const text = (name: 'name' | 'tagline', label: string, hint?: string) => {
    const { value, change, ...rest } = bind(name);
    return (
      <TextField label={label} hint={hint} value={value} onChange={(event) => change(event.target.value)} {...rest} />
    );
  };
  const currency = bind('currency');
  const included = bind('taxIncluded');
  const zone = bind('timeZone');
  const synonyms = bind('synonyms');
  return (
    <Dialog title="The shop" isOpen close={close}>
      <div className="flex flex-col gap-3">
        {text('name', 'Name')}
        {text('tagline', 'In one sentence', 'for search engines and the foot of each page')}
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
          {rate('taxRate', 'Tax')}
          {rate('reducedTaxRate', 'Reduced tax')}
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
        <SynonymsField value={synonyms.value} error={synonyms.error} change={synonyms.change} />
        <p className="text-xs text-ink-2">
          Amounts stay as they are when the currency changes. Shoppers see all of this with the next edition.
        </p>
        <Clashes save={save} />
        <SaveStateWords state={save.state} problem={save.problem} retry={save.retry} />
      </div>
    </Dialog>
  );
}
