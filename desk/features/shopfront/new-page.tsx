import { useState } from 'react';
import { pagePatterns, patternKeys } from '../../../core/model/page-patterns';
import { wordsOf } from '../../data/api';
import { useShopfrontWrites } from '../../data/shopfront';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { SectionDrawing } from './builder/section-drawing';

interface Props {
  close: () => void;
  open: (id: string) => void;
}

/** Names a new page and chooses what it begins with. */
export function NewPage({ close, open }: Props) {
  const { createPage } = useShopfrontWrites();
  const [title, setTitle] = useState('');
  const make = (pattern: (typeof patternKeys)[number]) =>
    createPage.mutate(
      { title: title.trim() || 'New page', pattern },
      {
        onSuccess: (page) => {
          close();
          open(page.id);
        },
      },
    );
  return (
    <Dialog title="A new page" isOpen close={close} width="max-w-xl">
      <TextField
        label="Title"
        autoFocus
        value={title}
        placeholder="New page"
        maxLength={120}
        onChange={(event) => setTitle(event.target.value)}
      />
      <h3 className="mb-1 mt-4 font-semibold">It begins as</h3>
      <ul className="grid grid-cols-2 gap-1.5">
        {patternKeys.map((key) => {
          const { name, about, sections } = pagePatterns[key];
          return (
            <li key={key}>
              <button
                type="button"
                onClick={() => make(key)}
                disabled={createPage.isPending}
                className="flex h-full w-full flex-col gap-1.5 rounded-[10px] border border-line bg-sheet p-2.5 text-left hover:border-ink"
              >
                <span className="font-semibold">{name}</span>
                <span className="text-xs text-ink-2">{about}</span>
                <span className="mt-auto flex flex-wrap gap-1">
                  {sections().map(({ kind }, i) => (
                    <SectionDrawing key={i} kind={kind} />
                  ))}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {createPage.error && (
        <p role="alert" className="mt-2 text-rose-ink">
          {wordsOf(createPage.error)}
        </p>
      )}
      <div className="mt-4 flex justify-end">
        <Button look="bare" onClick={close}>
          Not now
        </Button>
      </div>
    </Dialog>
  );
}
