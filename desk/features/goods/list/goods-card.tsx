import clsx from 'clsx';
import { Link } from 'react-router';
import { formatPriceRange } from '../../../../core/shared/money';
import { FeaturedTag } from '../../../shared/ui/featured-tag';
import { StatusTag } from '../../../shared/ui/swing-tag';
import { Thumb } from '../../../shared/ui/thumb';
import type { ListedRow } from '../../../data/goods';
import { PickBox } from './pick-box';

interface Props {
  row: ListedRow;
  currency: string;
  isInTray: boolean;
  isActive: boolean;
  pick: (isRange: boolean) => void;
  activate: () => void;
}

/** A product as a card: picture first, for goods that are known by sight. */
export function GoodsCard({ row, currency, isInTray, isActive, pick, activate }: Props) {
  return (
    <div
      role="gridcell"
      data-row={row.id}
      onMouseEnter={activate}
      className={clsx(
        'relative flex h-[224px] min-w-0 flex-1 flex-col rounded-[10px] border p-2',
        isInTray ? 'border-marigold bg-marigold-soft/60' : isActive ? 'border-ink-3 bg-paper' : 'border-hair',
      )}
    >
      <span className="absolute left-3.5 top-3.5 z-10">
        <PickBox title={row.title} isInTray={isInTray} pick={pick} />
      </span>
      <Thumb src={row.thumbnail} frame={row.frame} className="h-[132px] w-full" />
      <span className="mt-1.5 flex items-center gap-1">
        <Link to={`/goods/${row.id}`} className="truncate font-semibold hover:underline" title={row.title}>
          {row.title}
        </Link>
        {row.featured && <FeaturedTag className="shrink-0" />}
      </span>
      <span className="narrow truncate">{formatPriceRange(row.price.min, row.price.max, currency)}</span>
      <span className="mt-auto flex items-center justify-between gap-2">
        <StatusTag shownStatus={row.shownStatus} />
        <span className="text-xs text-ink-2">{row.stock ?? '∞'} left</span>
      </span>
    </div>
  );
}
