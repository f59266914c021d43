import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { Columns3 } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { Product } from '../../../../core/model/product';
import { columnOf, columnsOf, usualColumns, variantColumns, type ColumnName } from '../../../shared/variant-columns';

const KEPT = 'dispona.variant-columns';

function kept(): ColumnName[] {
  try {
    const names = JSON.parse(localStorage.getItem(KEPT) ?? 'null') as unknown;
    if (Array.isArray(names)) return variantColumns.map(({ name }) => name).filter((name) => names.includes(name));
  } catch {
    // What another version kept is of no use: the usual columns then.
  }
  return [...usualColumns];
}

/** The columns of the variant table, remembered in this browser; those that a product's kind has not are left out. */
export function useColumns(product: Product): [ColumnName[], (columns: ColumnName[]) => void] {
  const { unitPricing } = product;
  const [columns, setColumns] = useState(kept);
  const { kind, bundle } = product;
  // The same list while nothing of it changed: the rows of the table depend on it.
  const shown = useMemo(() => {
    const wanted = unitPricing !== null && !columns.includes('content') ? [...columns, 'content' as const] : columns;
    return columnsOf({ kind, unitPricing, bundle }).filter((name) => wanted.includes(name));
  }, [columns, kind, unitPricing, bundle]);
  const choose = (next: ColumnName[]) => {
    localStorage.setItem(KEPT, JSON.stringify(next));
    setColumns(next);
  };
  return [shown, choose];
}

export function ColumnChoice({
  product,
  columns,
  choose,
}: {
  product: Product;
  columns: readonly ColumnName[];
  choose: (columns: ColumnName[]) => void;
}) {
  return (
    <Popover className="relative">
      <PopoverButton className="inline-flex items-center gap-1.5 rounded-lg px-2 py-1 font-medium text-ink-2 hover:bg-sunk hover:text-ink">
        <Columns3 size={14} aria-hidden="true" /> Columns
      </PopoverButton>
      <PopoverPanel
        anchor="bottom end"
        className="z-50 flex flex-col gap-1 rounded-[10px] border border-line bg-sheet p-2 shadow-lg"
      >
        {columnsOf(product).map((name) => (
          <label key={name} className="flex items-center gap-2 rounded-md px-2 py-1 hover:bg-marigold-soft">
            <input
              type="checkbox"
              checked={columns.includes(name)}
              disabled={name === 'price'}
              onChange={(event) =>
                choose(event.target.checked ? [...columns, name] : columns.filter((each) => each !== name))
              }
              className="accent-petrol"
            />
            {columnOf(name).label}
          </label>
        ))}
      </PopoverPanel>
    </Popover>
  );
}
