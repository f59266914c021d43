import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useState } from 'react';
import { toast } from 'sonner';
import { fold } from '../../../../core/shared/fold';
import type { OptionList } from '../../../../core/model/option-list';
import { newId } from '../../../shared/new-id';
import { Button } from '../../../shared/ui/button';
import { OptionListEditor } from '../option-list-editor';
import { useCreateOptionList, useOptionLists } from '../../../data/goods';
import type { OptionDraft } from './option-drafts';
import { tellRefused } from '../../../data/tell-refused';

const isSame = (a: string, b: string) => fold(a).trim() === fold(b).trim();

/** Lists of values that products share: take values from one, or keep these as one. */
export function OptionLists({ row, change }: { row: OptionDraft; change: (row: OptionDraft) => void }) {
  const { data: lists = [] } = useOptionLists();
  const create = useCreateOptionList();
  const [edited, setEdited] = useState<OptionList | null>(null);
  const linked = lists.find(({ id }) => id === row.listId);
  const unused = (list: OptionList) =>
    list.choices.filter(({ name }) => !row.values.some((value) => isSame(value.name, name)));
  const take = (list: OptionList, choices: OptionList['choices']) =>
    change({
      ...row,
      listId: list.id,
      values: [...row.values, ...choices.map((choice) => ({ key: newId('q'), id: null, pictureId: null, ...choice }))],
    });
  const keepAsList = () =>
    create.mutate(
      { name: row.name, choices: row.values.map(({ name, swatch }) => ({ name, swatch })) },
      {
        onSuccess: ({ id }) => {
          change({ ...row, listId: id });
          toast(`“${row.name}” is a list now: other products can take its values.`);
        },
        onError: tellRefused,
      },
    );
  return (
    <>
      <Popover className="relative">
        <PopoverButton className="text-petrol hover:underline">
          {linked ? `list: ${linked.name}` : 'lists'}
        </PopoverButton>
        <PopoverPanel
          anchor="bottom start"
          className="z-50 mt-1 w-72 rounded-[10px] border border-line bg-sheet p-3 shadow-lg"
        >
          {({ close }) => (
            <div className="flex flex-col items-start gap-2">
              {linked ? (
                <>
                  <p className="text-ink-2">
                    {linked.products} {linked.products === 1 ? 'product takes' : 'products take'} values from this list.
                  </p>
                  {unused(linked).length > 0 && (
                    <div className="flex flex-wrap gap-1.5">
                      {unused(linked).map((choice) => (
                        <Button key={choice.name} onClick={() => take(linked, [choice])}>
                          + {choice.name}
                        </Button>
                      ))}
                    </div>
                  )}
                  <Button
                    look="bare"
                    onClick={() => {
                      setEdited(linked);
                      close();
                    }}
                  >
                    Change the list…
                  </Button>
                  <Button look="bare" onClick={() => change({ ...row, listId: null })}>
                    No longer from this list
                  </Button>
                </>
              ) : (
                <>
                  {lists.map((list) => (
                    <Button
                      key={list.id}
                      look="bare"
                      onClick={() => {
                        take(list, unused(list));
                        close();
                      }}
                    >
                      Take all of {list.name} ({list.choices.length})
                    </Button>
                  ))}
                  {row.values.length > 0 && (
                    <Button look="bare" disabled={create.isPending} onClick={keepAsList}>
                      Keep these values as a list
                    </Button>
                  )}
                  {lists.length === 0 && row.values.length === 0 && (
                    <p className="text-ink-2">No lists yet. Add values, then keep them as a list for other products.</p>
                  )}
                </>
              )}
            </div>
          )}
        </PopoverPanel>
      </Popover>
      {edited && <OptionListEditor list={edited} close={() => setEdited(null)} />}
    </>
  );
}
