import { useState } from 'react';
import { Button } from '../../shared/ui/button';
import { Choose, type Choice } from '../../shared/ui/choose';
import { Dialog } from '../../shared/ui/dialog';

interface Props {
  title: string;
  detail: string;
  /** what it can be put into */
  choices: readonly Choice[];
  /** chosen to begin with */
  first?: string;
  merge: (into: string) => void;
  close: () => void;
}

/** Asks into which other one something is merged. */
export function MergeDialog({ title, detail, choices, first, merge, close }: Props) {
  const [into, setInto] = useState<string | null>(first ?? null);
  const name = choices.find(({ value }) => value === into)?.label;
  return (
    <Dialog title={title} isOpen close={close}>
      <p className="text-ink-2">{detail} It can be undone.</p>
      <div className="mt-3 flex items-center gap-2">
        Into
        <Choose label="Into" placeholder={name ?? 'choose …'} choices={choices} choose={setInto} className="w-60" />
      </div>
      <div className="mt-5 flex justify-end gap-2">
        <Button onClick={close}>Cancel</Button>
        <Button look="main" disabled={!into} onClick={() => into && merge(into)}>
          {name ? `Merge into “${name}”` : 'Merge'}
        </Button>
      </div>
    </Dialog>
  );
}
