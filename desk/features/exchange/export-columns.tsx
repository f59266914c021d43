import { useColumnSets } from '../../data/exchange';
import { Select } from '../../shared/ui/select';
import { TickedOrder } from '../../shared/ui/ticked-order';
import { KeepAs } from './keep-as';
import { tellRefused } from '../../data/tell-refused';

interface Props {
  fields: readonly { key: string; label: string; explains: string }[];
  sets: readonly { id: string; name: string; columns: readonly string[] }[];
  usual: readonly string[];
  /** keys in their order */
  columns: readonly string[];
  change: (columns: string[]) => void;
}

/** Which columns a file has, in which order; kept under a name where they are wanted again. */
export function ExportColumns({ fields, sets, usual, columns, change }: Props) {
  const { keep, drop } = useColumnSets();
  const labels = new Map(fields.map(({ key, label }) => [key, label]));
  const current = sets.find((set) => set.columns.join() === columns.join());
  return (
    <fieldset className="mt-5">
      <legend className="sr-only">Columns</legend>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <span className="font-semibold">Columns</span>
        <button
          type="button"
          className="text-petrol-ink hover:underline"
          onClick={() => change(fields.map(({ key }) => key))}
        >
          all of them
        </button>
        <button type="button" className="text-petrol-ink hover:underline" onClick={() => change([...usual])}>
          the usual ones
        </button>
        {sets.length > 0 && (
          <Select
            label="Columns that you kept"
            value={current?.id ?? ''}
            choices={[
              ...(current ? [] : [{ value: '', label: 'those that you kept …' }]),
              ...sets.map((set) => ({ value: set.id, label: set.name })),
            ]}
            choose={(id) => {
              const set = sets.find((each) => each.id === id);
              if (set) change([...set.columns]);
            }}
          />
        )}
        {current && (
          <button
            type="button"
            className="text-rose-ink hover:underline"
            onClick={() => drop.mutate(current.id, { onError: tellRefused })}
          >
            forget “{current.name}”
          </button>
        )}
      </div>
      <div className="mt-2 max-h-80 overflow-y-auto">
        <TickedOrder
          all={fields.map(({ key }) => key)}
          chosen={columns.filter((key) => labels.has(key))}
          nameOf={(key) => labels.get(key) ?? key}
          change={change}
        />
      </div>
      {!current && columns.length > 0 && (
        <div className="mt-2">
          <KeepAs
            label="Name for these columns"
            placeholder="Keep these columns as …"
            isBusy={keep.isPending}
            keep={(name, done) =>
              keep.mutate({ name, columns: [...columns] }, { onSuccess: done, onError: tellRefused })
            }
          />
        </div>
      )}
    </fieldset>
  );
}
