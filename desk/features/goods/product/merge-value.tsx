import { useState } from 'react';
import { Button } from '../../../shared/ui/button';
import { Dialog } from '../../../shared/ui/dialog';
import { Select } from '../../../shared/ui/select';
import type { OptionValueDraft } from './option-drafts';

interface Props {
  value: string;
  /** variants that would go with it, in words */
  held: readonly string[];
  others: readonly OptionValueDraft[];
  merge: (into: string) => void;
  drop: () => void;
  close: () => void;
}

const SHOWN = 8;

/** Asks what becomes of variants with work in them when their option value goes. */
export function MergeValue({ value, held, others, merge, drop, close }: Props) {
  const [into, setInto] = useState(others[0]!.id!);
  const then = (act: () => void) => () => {
    act();
    close();
  };
  return (
    <Dialog title={`Remove ${value}?`} isOpen close={close}>
      <p>{held.length === 1 ? 'One variant has' : `${held.length} variants have`} an SKU, stock or a sale price:</p>
      <ul className="mt-1 text-ink-2">
        {held.slice(0, SHOWN).map((line) => (
          <li key={line}>{line}</li>
        ))}
        {held.length > SHOWN && <li>and {held.length - SHOWN} more</li>}
      </ul>
      <div className="mt-4 flex flex-wrap items-center gap-2 rounded-[10px] bg-marigold-soft p-3">
        Give their stock to
        <Select
          label="Merge into"
          value={into}
          choices={others.map(({ id, name }) => ({ value: id!, label: name }))}
          choose={setInto}
        />
        <Button look="main" onClick={then(() => merge(into))}>
          Merge
        </Button>
        <p className="w-full text-xs text-marigold-ink">
          SKUs and barcodes go along where the other variant has none. Undo brings all of it back.
        </p>
      </div>
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={close}>Keep it</Button>
        <Button look="danger" onClick={then(drop)}>
          Remove them
        </Button>
      </div>
    </Dialog>
  );
}
