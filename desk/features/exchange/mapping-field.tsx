import { useState } from 'react';
import { toast } from 'sonner';
import { wordsOf } from '../../data/api';
import type { ImportAnswer } from '../../data/exchange';
import { useMappings } from '../../data/exchange';
import { Select } from '../../shared/ui/select';
import { KeepAs } from './keep-as';

/** How columns are taken, kept under a name for the next file of the same sort, or taken from one that was kept. */
export function MappingField({ file: { id, mappings } }: { file: ImportAnswer }) {
  const { keep, take, drop } = useMappings(id);
  const [taken, setTaken] = useState('');
  const failed = (error: unknown) => void toast.error(wordsOf(error));
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
            if (mapping !== '') take.mutate(mapping, { onSuccess: () => setTaken(mapping), onError: failed });
          }}
        />
      )}
      {current && (
        <button
          type="button"
          className="text-rose-ink hover:underline"
          onClick={() => drop.mutate(current.id, { onError: failed })}
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
            onError: failed,
          })
        }
      />
    </div>
  );
}
