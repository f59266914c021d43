import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { routes } from '../../../../contract';
import { domainSchema } from '../../../../core/model/shop-contact';
import type { Settings } from '../../../../core/model/settings';
import { call } from '../../../data/api';
import { useField } from '../../../shared/autosave/use-autosave';
import { Button } from '../../../shared/ui/button';
import { TextField } from '../../../shared/ui/field';
import { SheetPart, SaveSheet } from '../../../shared/ui/save-sheet';
import { useSettingsSave } from '../../../shared/autosave/settings-save';

/** An address of the shop's own: whether it can be had, and what to set where it is kept. */
export function DomainPage({ settings }: { settings: Settings }) {
  const save = useSettingsSave(settings);
  const { value: domain, change, error } = useField<string>(save, 'domain');
  const [typed, setTyped] = useState(domain);
  const read = domainSchema.safeParse(typed);
  const [asked, setAsked] = useState(domain);
  const { data } = useQuery({
    queryKey: ['domain', asked, settings.domain],
    queryFn: () => call(routes.shopfront.domain, { query: { name: asked } }),
    enabled: asked !== '',
  });
  const problem = read.success ? error : read.error.issues[0]!.message;
  const isAsked = read.success && read.data === asked && asked !== '';
  return (
    <SaveSheet save={save}>
      <SheetPart
        title="An address of your own"
        about="Search engines and shared links name the shop by it. Nothing is looked up or bought here: this is a stand-in."
      >
        <form
          className="flex flex-wrap items-start gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (read.success) setAsked(read.data);
          }}
        >
          <div className="w-72">
            <TextField
              label="Domain"
              placeholder="kites.example"
              autoComplete="off"
              spellCheck={false}
              value={typed}
              error={problem}
              onChange={({ target }) => setTyped(target.value)}
            />
          </div>
          <Button type="submit" className="mt-[22px]" disabled={!read.success || read.data === ''}>
            Check whether it is free
          </Button>
        </form>
        {isAsked && data && (
          <div role="status" className="flex flex-col gap-3">
            {domain === asked ? (
              <p className="font-semibold text-petrol">The address of the shop is {asked}.</p>
            ) : data.isFree ? (
              <p className="flex flex-wrap items-center gap-3">
                <span className="font-semibold text-petrol">{asked} is free.</span>
                <Button look="main" onClick={() => change(asked)}>
                  Use it
                </Button>
              </p>
            ) : (
              <p className="flex flex-wrap items-center gap-2">
                <span>{asked} is taken. These are free:</span>
                {data.instead.map((name) => (
                  <Button
                    key={name}
                    onClick={() => {
                      setTyped(name);
                      setAsked(name);
                    }}
                  >
                    {name}
                  </Button>
                ))}
              </p>
            )}
            {(data.isFree || domain === asked) && (
              <table className="text-left">
                <caption className="mb-1 text-left text-ink-2">Records to set with whoever keeps your domain</caption>
                <thead className="text-xs text-ink-2">
                  <tr>
                    <th className="pr-6 font-normal">Type</th>
                    <th className="pr-6 font-normal">Name</th>
                    <th className="pr-6 font-normal">Value</th>
                    <th className="font-normal">State</th>
                  </tr>
                </thead>
                <tbody>
                  {data.records
                    .map((record) => ({ ...record, isSet: record.isSet || domain === asked }))
                    .map(({ type, host, value, isSet }) => (
                      <tr key={type + host}>
                        <td className="py-0.5 pr-6">{type}</td>
                        <td className="py-0.5 pr-6">{host}</td>
                        <td className="py-0.5 pr-6">{value}</td>
                        <td className={isSet ? 'text-petrol' : 'text-ink-2'}>{isSet ? 'set' : 'not set yet'}</td>
                      </tr>
                    ))}
                </tbody>
              </table>
            )}
          </div>
        )}
        {domain !== '' && (
          <div>
            <Button look="bare" onClick={() => change('')}>
              Stop using this domain
            </Button>
          </div>
        )}
      </SheetPart>
    </SaveSheet>
  );
}
