import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { OptionList } from '../../../core/model/option-list';
import { newId } from '../../shared/new-id';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { SortableRows } from '../../shared/ui/sortable-rows';
import { PLAIN_SWATCH } from './product/option-drafts';
import { useRemoveOptionList, useSaveOptionList } from '../../data/goods';
import { refusalOf, tellRefused } from '../../data/tell-refused';

/** The name that a value had when editing began; '' for a new one. */
type Row = OptionList['choices'][number] & { key: string; was: string };

/** Changes a list of option values; what is renamed is renamed in every product that takes from it. */
export function OptionListEditor({ list, close }: { list: OptionList; close: () => void }) {
  /** as it was when it was opened: others may change it meanwhile */
  const [opened] = useState(list);
  const [name, setName] = useState(list.name);
  const [rows, setRows] = useState<Row[]>(() =>
    list.choices.map((choice) => ({ ...choice, key: newId('q'), was: choice.name })),
  );
  const save = useSaveOptionList();
  const remove = useRemoveOptionList();
  const error = save.error ? refusalOf(save.error) : undefined;
  const hasSwatches = rows.some(({ swatch }) => swatch !== null);
  const set = (key: string, part: Partial<Row>) =>
    setRows(rows.map((row) => (row.key === key ? { ...row, ...part } : row)));
  const done = () =>
    save.mutate(
      {
        id: list.id,
        name,
        choices: rows.map(({ name, swatch }) => ({ name, swatch })),
        was: { name: opened.name, choices: opened.choices },
        renamed: rows.flatMap(({ name, was }) => (was !== '' && was !== name ? [{ from: was, to: name }] : [])),
      },
      {
        onSuccess: ({ changed }) => {
          toast(changed === 0 ? 'The list is saved.' : `The list is saved, and ${changed} products follow it.`);
          close();
        },
      },
    );
  return (
    <Dialog title="Option list" isOpen close={close} isForm>
      <TextField label="Name of the list" value={name} onChange={(event) => setName(event.target.value)} />
      <SortableRows
        className="mt-3 flex flex-col gap-1.5"
        items={rows}
        keyOf={({ key }) => key}
        reorder={setRows}
        draw={(row, grip) => (
          <div className="flex items-center gap-2">
            {grip}
            {hasSwatches && (
              <input
                type="color"
                aria-label={`Colour of ${row.name}`}
                value={row.swatch ?? PLAIN_SWATCH}
                onChange={(event) => set(row.key, { swatch: event.target.value })}
                className="size-6 cursor-pointer border-0 bg-transparent p-0"
              />
            )}
            <div className="flex-1">
              <TextField
                label="Value"
                hideLabel
                value={row.name}
                onChange={(event) => set(row.key, { name: event.target.value })}
              />
            </div>
            <button
              type="button"
              aria-label={`Remove ${row.name}`}
              onClick={() => setRows(rows.filter(({ key }) => key !== row.key))}
              className="rounded p-1 text-ink-2 hover:text-rose"
            >
              <X size={13} aria-hidden="true" />
            </button>
          </div>
        )}
      />
      <Button
        look="bare"
        className="-ml-2 mt-1"
        onClick={() =>
          setRows([...rows, { key: newId('q'), was: '', name: '', swatch: hasSwatches ? PLAIN_SWATCH : null }])
        }
      >
        <Plus size={13} aria-hidden="true" /> Value
      </Button>
      <p className="mt-2 text-xs text-ink-2">
        Other names and colours reach every product that takes from this list. A value that goes here stays with
        products that have it.
      </p>
      {error && (
        <p role="alert" className="mt-2 text-rose-ink">
          {error}
        </p>
      )}
      <div className="mt-4 flex gap-2">
        <Button
          look="bare"
          className="!text-rose"
          onClick={() => remove.mutate(list.id, { onSuccess: close, onError: tellRefused })}
        >
          Delete the list
        </Button>
        <Button className="ml-auto" onClick={close}>
          Leave it
        </Button>
        <Button look="main" disabled={save.isPending} onClick={done}>
          Save the list
        </Button>
      </div>
    </Dialog>
  );
}
