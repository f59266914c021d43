import { X } from 'lucide-react';
import { AddProduct } from '../../../shared/pickers/add-product';
import { SortableRows } from '../../../shared/ui/sortable-rows';
import { useGoodsDrop } from '../../../shared/ui/goods-drag';
import { useTitles } from '../../../data/goods';
import clsx from 'clsx';

interface Props {
  label: string;
  ids: readonly string[];
  change: (ids: string[]) => void;
}

/** Products by name, in order: found by typing, or dropped from the tray. */
export function GoodsList({ label, ids, change }: Props) {
  const titles = useTitles(ids);
  const add = (more: readonly string[]) => change([...new Set([...ids, ...more])]);
  const { isOver, props } = useGoodsDrop(add);
  return (
    <div className={clsx('rounded-lg', isOver && 'outline-2 outline-marigold')} {...props}>
      <span className="mb-1 block text-ink-2">{label}</span>
      <SortableRows
        items={ids.map((id) => ({ id }))}
        keyOf={({ id }) => id}
        reorder={(rows) => change(rows.map(({ id }) => id))}
        draw={({ id }, grip) => (
          <div className="flex items-center gap-1 border-b border-hair py-0.5">
            {grip}
            <span className="min-w-0 flex-1 truncate">{titles.get(id) ?? 'deleted'}</span>
            <button
              type="button"
              aria-label={`Remove ${titles.get(id) ?? 'this product'}`}
              onClick={() => change(ids.filter((each) => each !== id))}
              className="rounded p-1 text-ink-2 hover:text-rose"
            >
              <X size={13} aria-hidden="true" />
            </button>
          </div>
        )}
      />
      <div className="mt-1.5">
        <AddProduct taken={ids} add={(id) => add([id])} />
      </div>
    </div>
  );
}
