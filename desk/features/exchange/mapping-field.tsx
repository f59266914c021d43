import { useState } from 'react';
import type { ImportAnswer } from '../../data/exchange';
import { useMappings } from '../../data/exchange';
import { Select } from '../../shared/ui/select';
import { KeepAs } from './keep-as';
import { tellRefused } from '../../data/tell-refused';

/** How columns are taken, kept under a name for the next file of the same sort, or taken from one that was kept. */
export function MappingField({ file: { id, mappings } }: { file: ImportAnswer }) {
  const { keep, take, drop } = useMappings(id);
  const [taken, setTaken] = useState('');
  const current = mappings.find((each) => each.id === taken);
  return (
    <div className="mt-3 flex max-w-5xl flex-wrap items-center gap-2">
      {mappings.length > 0 && (
        <Select
          label="Mapping"
          value={current?.id ?? ''}
          choices={[
            ...(current ? [] : [{ value: '', label: 'take columns as in …' }]),
            ...mappings.map((each) => ({ value: each.id, label: each.name })),
          ]}
          choose={(mapping) => {
            if (mapping !== '') take.mutate(mapping, { onSuccess: () => setTaken(mapping), onError: tellRefused });
          }}
        />
      )}
      {current && (
        <button
          type="button"
          className="text-rose-ink hover:underline"
          onClick={() => drop.mutate(current.id, { onError: tellRefused })}
        >
          forget it
        </button>
      )}
      <KeepAs
        label="Name for this mapping"
        placeholder="Keep this mapping as …"
        isBusy={keep.isPending}
        keep={(name, done) =>
          keep.mutate(name, {
            onSuccess: ({ id: made }) => {
              setTaken(made);
              done();
            },
            onError: tellRefused,
          })
        }
      />
    </div>
  );
}
