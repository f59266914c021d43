import { useState } from 'react';
import type { ChosenListing } from '../../../../core/model/chosen-listing';
import { useEngineFilters, useEngineWrites } from '../../../data/engines';
import { ChooseTarget } from '../../../shared/pickers/choose-target';
import { TargetName } from '../../../shared/pickers/target-words';
import { Button } from '../../../shared/ui/button';
import { Dialog } from '../../../shared/ui/dialog';
import { Pressed } from '../../../shared/ui/pressed';
import { Loading } from '../../../shared/ui/states';
import { refusalOf } from '../../../data/tell-refused';

/** Chooses a narrowed listing: a group, then values of its filters. */
export function ChooseListing({ close }: { close: () => void }) {
  const [at, setAt] = useState<ChosenListing['at']>(null);
  const [choices, setChoices] = useState<ChosenListing['choices']>([]);
  const [title, setTitle] = useState('');
  const { data } = useEngineFilters(at);
  const { choose } = useEngineWrites();
  const toggle = (key: string, value: string) => {
    const before = choices.find((each) => each.key === key)?.values ?? [];
    const values = before.includes(value) ? before.filter((each) => each !== value) : [...before, value];
    const rest = choices.filter((each) => each.key !== key);
    setChoices(values.length > 0 ? [...rest, { key, values }] : rest);
  };
  const isOn = (key: string, value: string) =>
    choices.find((each) => each.key === key)?.values.includes(value) ?? false;
  return (
    <Dialog title="A narrowed listing for search engines" isOpen close={close} width="max-w-2xl">
      <span className="mb-1 block font-semibold">Goods of</span>
      {at ? (
        <TargetName
          to={at}
          remove={() => {
            setAt(null);
            setChoices([]);
          }}
        />
      ) : (
        <ChooseTarget
          label="All goods, or those of a group"
          kinds={['category', 'collection', 'brand', 'tag']}
          choose={(target) => {
            if (target.kind === 'page' || target.kind === 'product') return;
            setAt({ kind: target.kind, id: target.id });
            setChoices([]);
          }}
        />
      )}
      <div className="mt-3 max-h-[38vh] overflow-y-auto rounded-lg border border-line p-3">
        {!data && <Loading rows={3} />}
        {data?.filters.map(({ key, label, values }) => (
          <fieldset key={key} className="mb-2">
            <legend className="text-xs text-ink-2">{label}</legend>
            <div className="flex flex-wrap gap-1">
              {values.map(({ value, label: name, count: goods }) => (
                <Pressed key={value} isOn={isOn(key, value)} choose={() => toggle(key, value)} isSmall>
                  {name} <span className="tabular-nums opacity-70">{goods}</span>
                </Pressed>
              ))}
            </div>
          </fieldset>
        ))}
      </div>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          choose.mutate({ at, choices, title }, { onSuccess: close });
        }}
      >
        <label className="mt-3 block">
          <span className="mb-1 block font-semibold">Title</span>
          <input
            value={title}
            maxLength={120}
            placeholder="Red deltas"
            onChange={(event) => setTitle(event.target.value)}
            className="field w-full"
          />
        </label>
        {choose.error && (
          <p role="alert" className="mt-1 text-rose-ink">
            {refusalOf(choose.error)}
          </p>
        )}
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={close}>Not now</Button>
          <Button type="submit" look="main" disabled={choices.length === 0 || title.trim() === '' || choose.isPending}>
            Choose it
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
