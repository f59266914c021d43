import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { routes } from '../../contract';
import { copiedPartSchema } from '../../contract/product';
import type { CopiedPart } from '../../core/model/fields';
import { call, wordsOf } from '../data/api';
import { useWhich } from '../data/bulk';
import { useUndo } from '../data/session';
import { useTray } from './tray-store';
import { Button } from './ui/button';
import { Dialog } from './ui/dialog';
import { Tick } from './ui/tick';

const partWords: Record<CopiedPart, string> = {
  options: 'Options with their values, and the prices of each combination',
  specs: 'Specs and its spec sheet',
  delivery: 'Delivery',
  relations: 'Goes with, step up, similar',
  prices: 'Sale days, quantity prices, unit price, tax',
  search: 'Kept out of search engines or not',
  belongs: 'Categories, tags, brand, supplier',
};

interface Props {
  id: string;
  title: string;
  close: () => void;
}

/** Gives parts of this product to those in the tray, as one change. */
export function CopyParts({ id, title, close }: Props) {
  const to = useTray().filter((other) => other !== id);
  const [parts, setParts] = useState<CopiedPart[]>([]);
  const { data } = useWhich({ ids: to }, 12, to.length > 0);
  const { undo } = useUndo();
  const copy = useMutation({
    mutationFn: () => call(routes.goods.copyParts, { params: { id }, body: { to, parts } }),
    onSuccess: ({ changed, kept }) => {
      const notes = kept.map(({ title: other, reason }) => `${other} keeps its options: it ${reason}.`);
      toast(`Copied to ${changed} products`, {
        description: notes.length ? notes.slice(0, 4).join(' ') : undefined,
        action: { label: 'Undo', onClick: () => undo.mutate() },
      });
      close();
    },
  });
  const titles = (data?.rows ?? []).map((row) => row.title);
  return (
    <Dialog title={`Copy parts of ${title}`} isOpen close={close}>
      {to.length === 0 ? (
        <p>
          Put the products that are to get them into the tray first: T on a row of the goods list, or “Into the tray”.
        </p>
      ) : (
        <>
          <fieldset>
            <legend className="mb-1 font-semibold">What they get instead of their own</legend>
            {copiedPartSchema.options.map((part) => (
              <Tick
                key={part}
                label={partWords[part]}
                checked={parts.includes(part)}
                change={(checked) => setParts(checked ? [...parts, part] : parts.filter((each) => each !== part))}
              />
            ))}
          </fieldset>
          <p className="mt-3 text-ink-2">
            To the {to.length} in the tray: {titles.slice(0, 6).join(', ')}
            {titles.length > 6 && ` and ${titles.length - 6} more`}
          </p>
        </>
      )}
      {copy.error && (
        <p role="alert" className="mt-2 text-rose-ink">
          {wordsOf(copy.error)}
        </p>
      )}
      <div className="mt-4 flex justify-end gap-2">
        <Button onClick={close}>Leave it</Button>
        {to.length > 0 && (
          <Button look="main" disabled={parts.length === 0 || copy.isPending} onClick={() => copy.mutate()}>
            Copy to {to.length}
          </Button>
        )}
      </div>
    </Dialog>
  );
}
