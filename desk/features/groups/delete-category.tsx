import { useState } from 'react';
import type { CategoryRow } from '../../../contract/groups';
import { Button } from '../../shared/ui/button';
import { Choose } from '../../shared/ui/choose';
import { products } from '../../shared/ui/count';
import { Dialog } from '../../shared/ui/dialog';
import { categoryChoices } from '../../shared/pickers/category-choices';
import { WhatBreaks } from '../../shared/what-breaks';
import { useCategoryWrites } from '../../data/groups';
import { useNotMet } from '../../data/shopfront';

interface Props {
  row: CategoryRow;
  categories: readonly CategoryRow[];
  close: (isGone: boolean) => void;
}

/** Asks what becomes of the goods of a category that goes. */
export function DeleteCategory({ row, categories, close }: Props) {
  const { remove } = useCategoryWrites();
  const notMet = useNotMet();
  const [other, setOther] = useState<string | null>(null);
  const nameOf = (id: string | null) => categories.find((each) => each.id === id)?.name;
  const run = (choice: { products: 'toParent' | 'toOther' | 'leave'; other?: string }) =>
    remove.mutate({ id: row.id, ...choice }, { onSuccess: () => close(true) });
  return (
    <Dialog title={`Delete “${row.name}”?`} isOpen close={() => close(false)}>
      <p className="text-ink-2">
        {row.count === 0
          ? 'No product is in it.'
          : `${products(row.count)} ${row.count === 1 ? 'is' : 'are'} in it or below it. The products themselves stay.`}{' '}
        Categories below it go too. All of this can be undone.
      </p>
      <WhatBreaks kind="category" id={row.id} />
      {row.count > 0 && (
        <div className="mt-3 flex items-center gap-2">
          Its products go to
          <Choose
            label="Another category"
            placeholder={nameOf(other) ?? 'another category …'}
            choices={categoryChoices(categories, (id) => notMet('category', id)).filter(
              ({ value }) => value !== row.id,
            )}
            choose={setOther}
          />
        </div>
      )}
      <div className="mt-5 flex flex-wrap justify-end gap-2">
        <Button onClick={() => close(false)}>Keep it</Button>
        {other && (
          <Button look="danger" onClick={() => run({ products: 'toOther', other })}>
            Delete, products go to “{nameOf(other)}”
          </Button>
        )}
        {!other && row.parentId && row.count > 0 && (
          <Button look="danger" onClick={() => run({ products: 'toParent' })}>
            Delete, products go to “{nameOf(row.parentId)}”
          </Button>
        )}
        {!other && (
          <Button look="danger" onClick={() => run({ products: 'leave' })}>
            {row.count === 0 ? 'Delete' : 'Delete, products just leave'}
          </Button>
        )}
      </div>
    </Dialog>
  );
}
