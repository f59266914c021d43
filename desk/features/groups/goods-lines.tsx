import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { GoodsRow } from '../../../contract/goods';
import { Thumb } from '../../shared/ui/thumb';

interface Props<T extends GoodsRow> {
  goods: readonly T[];
  /** what is said of each below its title */
  note: (row: T) => ReactNode;
  /** what can be done with each */
  action?: (row: T) => ReactNode;
}

/** Products one below the other, each with a line about it. */
export function GoodsLines<T extends GoodsRow>({ goods, note, action }: Props<T>) {
  return (
    <ul className="divide-y divide-hair">
      {goods.map((row) => (
        <li key={row.id} className="flex items-center gap-2.5 py-1.5">
          <Thumb src={row.thumbnail} frame={row.frame} className="size-8" />
          <div className="min-w-0 flex-1">
            <Link to={`/goods/${row.id}`} className="block truncate font-semibold hover:underline">
              {row.title}
            </Link>
            <div className="truncate text-xs text-ink-2">{note(row)}</div>
          </div>
          {action?.(row)}
        </li>
      ))}
    </ul>
  );
}
