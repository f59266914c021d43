import clsx from 'clsx';
import { Check, Star } from 'lucide-react';
import { Link } from 'react-router';
import { formatPriceRange } from '../../core/catalog/money';
import type { GoodsRow as Row } from '../../contract/goods';
import { LifeTag } from '../ui/swing-tag';
import { Places } from '../ui/places';
import { Thumb } from '../ui/thumb';

/** Columns of the list, for its head and its rows alike. Narrow screens keep the first ones. */
export const columns =
  'grid items-center gap-x-2.5 px-3 grid-cols-[20px_minmax(170px,1fr)_98px_108px_84px_104px_44px] max-md:grid-cols-[22px_1fr_92px_90px] max-md:[&>*:nth-child(n+5)]:hidden';

const FULL_BAR = 60;

function Stock({ stock }: { stock: number | null }) {
  const share = stock === null ? 1 : Math.min(1, stock / FULL_BAR);
  return (
    <span className="flex items-center justify-end gap-2">
      <span title={stock === null ? 'not counted' : undefined}>{stock ?? '∞'}</span>
      <span className="h-[5px] w-11 rounded-full bg-hair" aria-hidden="true">
        <span
          className={clsx('block h-full rounded-full', share < 0.08 ? 'bg-rose' : 'bg-petrol')}
          style={{ width: `${share * 100}%` }}
        />
      </span>
    </span>
  );
}

interface Props {
  row: Row;
  currency: string;
  isInTray: boolean;
  isActive: boolean;
  toggle: () => void;
  activate: () => void;
}

export function GoodsRow({ row, currency, isInTray, isActive, toggle, activate }: Props) {
  const margin = row.margin === null ? '–' : `${Math.round(row.margin / 100)}%`;
  return (
    <div
      role="row"
      aria-selected={isInTray}
      data-row={row.id}
      onMouseEnter={activate}
      className={clsx(
        columns,
        'h-[46px] border-b border-hair',
        isInTray ? 'bg-marigold-soft/60' : isActive && 'bg-sunk/50',
      )}
    >
      <span role="gridcell">
        <button
          type="button"
          role="checkbox"
          aria-checked={isInTray}
          aria-label={`${row.title} in the tray`}
          onClick={toggle}
          className={clsx(
            'flex size-[17px] items-center justify-center rounded-[5px] border',
            isInTray ? 'border-marigold bg-marigold text-ink' : 'border-ink-3 bg-sheet hover:border-ink',
          )}
        >
          {isInTray && <Check size={12} strokeWidth={3} aria-hidden="true" />}
        </button>
      </span>
      <span role="gridcell" className="flex min-w-0 items-center gap-2.5">
        <Thumb src={row.thumbnail} frame={row.frame} />
        <span className="min-w-0">
          <span className="flex items-center gap-1">
            <Link to={`/goods/${row.id}`} className="truncate font-semibold hover:underline" title={row.title}>
              {row.title}
            </Link>
            {row.featured && <Star size={11} className="shrink-0 fill-marigold text-marigold" aria-label="featured" />}
          </span>
          <span className="block truncate text-xs text-ink-2">
            {[row.brand, `${row.variantCount} ${row.variantCount === 1 ? 'variant' : 'variants'}`]
              .filter(Boolean)
              .join(' · ')}
          </span>
        </span>
      </span>
      <span role="gridcell">
        <LifeTag life={row.life} />
      </span>
      <span role="gridcell" className="narrow text-right">
        {formatPriceRange(row.price.min, row.price.max, currency)}
      </span>
      <span role="gridcell">
        <Stock stock={row.stock} />
      </span>
      <span role="gridcell" className="narrow">
        <Places count={row.places} />
      </span>
      <span
        role="gridcell"
        className={clsx('text-right', row.margin !== null && row.margin < 0 && 'font-semibold text-rose')}
      >
        {margin}
      </span>
    </div>
  );
}
