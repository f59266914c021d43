import clsx from 'clsx';
import { memo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { routes } from '../../../../contract';
import type { RuleField } from '../../../../contract/rule-field';
import { formatPriceRange } from '../../../../core/shared/money';
import { call } from '../../../data/api';
import { dragsGoods } from '../../../shared/ui/goods-drag';
import { FeaturedTag } from '../../../shared/ui/featured-tag';
import { StatusTag } from '../../../shared/ui/swing-tag';
import { Places } from '../../../shared/ui/places';
import { Thumb } from '../../../shared/ui/thumb';
import type { GoodsAsked, ListedRow } from '../../../data/goods';
import { gridOf, isRight, type ListColumn } from './columns';
import { Marked } from './marked';
import { PickBox } from './pick-box';
import type { QuickField } from './quick-edit';
import { WhyListed } from './why-listed';
import { tellRefused } from '../../../data/tell-refused';

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

/** Featured is written at once: it is one click, and the next takes it back. */
function Feature({ row }: { row: ListedRow }) {
  const set = () => call(routes.goods.feature, { body: { ids: [row.id], featured: !row.featured } }).catch(tellRefused);
  return (
    <button
      type="button"
      aria-pressed={row.featured}
      aria-label={`${row.title} featured`}
      title={row.featured ? 'Featured: click to end it' : 'Feature it'}
      onClick={() => void set()}
      className={clsx(
        'shrink-0 rounded px-0.5 text-xs font-normal text-ink-2 hover:text-ink hover:underline',
        !row.featured && 'hidden group-focus-within:block group-hover:block',
      )}
    >
      {row.featured ? <FeaturedTag /> : 'feature'}
    </button>
  );
}

interface Props {
  row: ListedRow;
  currency: string;
  columns: readonly ListColumn[];
  fields: readonly RuleField[];
  asked: GoodsAsked;
  isInTray: boolean;
  isActive: boolean;
  /** its place in the list */
  index: number;
  pick: (index: number, isRange: boolean) => void;
  activate: (index: number) => void;
  edit: (id: string, field: QuickField) => void;
}

/** Drawn again only when something of its own changed: while the list scrolls, most rows stay as they are. */
export const GoodsRow = memo(function GoodsRow(props: Props) {
  const { row, currency, columns, fields, asked, isInTray, isActive, index, pick, activate, edit } = props;
  const quick = (field: QuickField, label: string, children: ReactNode) => (
    <button
      type="button"
      data-quick={field}
      onClick={() => edit(row.id, field)}
      aria-label={`Change the ${field} of ${row.title}: ${label}`}
      className="max-w-full rounded-md px-1 -mx-1 hover:bg-sheet hover:ring-1 hover:ring-line"
    >
      {children}
    </button>
  );
  const cell = (key: string, words: string): ReactNode => {
    switch (key) {
      case 'status':
        return quick('status', row.shownStatus, <StatusTag shownStatus={row.shownStatus} />);
      case 'price': {
        const range = formatPriceRange(row.price.min, row.price.max, currency);
        return quick('price', range, range);
      }
      case 'stock':
        return quick('stock', String(row.stock ?? 'not counted'), <Stock stock={row.stock} />);
      case 'places':
        return <Places count={row.places} />;
      case 'margin':
        return row.margin === null ? (
          '–'
        ) : (
          <span className={clsx(row.margin < 0 && 'font-semibold text-rose')}>{Math.round(row.margin / 100)}%</span>
        );
      default:
        return <span title={words}>{words}</span>;
    }
  };
  return (
    <div
      role="row"
      aria-selected={isInTray}
      data-row={row.id}
      onMouseEnter={() => activate(index)}
      style={gridOf(columns)}
      className={clsx(
        'goods-grid group h-[46px] border-b border-hair',
        isInTray ? 'bg-marigold-soft/60' : isActive && 'bg-sunk/50',
      )}
    >
      <span role="gridcell">
        <PickBox title={row.title} isInTray={isInTray} pick={(isRange) => pick(index, isRange)} />
      </span>
      <span role="gridcell" className="flex min-w-0 items-center gap-2.5" data-quick="title">
        <span {...dragsGoods(() => [row.id])} className="shrink-0 cursor-grab">
          <Thumb src={row.thumbnail} frame={row.frame} />
        </span>
        <span className="min-w-0">
          <span className="flex items-center gap-1">
            <Link to={`/goods/${row.id}`} className="truncate font-semibold hover:underline" title={row.title}>
              <Marked text={row.title} words={asked.text} />
            </Link>
          </span>
          <span className="flex items-center gap-1 text-xs text-ink-2">
            <span className="truncate">
              {[row.brand, `${row.variantCount} ${row.variantCount === 1 ? 'variant' : 'variants'}`]
                .filter(Boolean)
                .join(' · ')}
            </span>
            <Feature row={row} />
            {asked.rule.of.length > 0 && isActive && (
              <WhyListed id={row.id} title={row.title} rule={asked.rule} text={asked.text} />
            )}
          </span>
        </span>
      </span>
      {columns.map(({ key }) => {
        const field = fields.find((each) => each.key === key);
        const at = asked.columns.indexOf(key);
        return (
          <span key={key} role="gridcell" className={clsx('narrow min-w-0 truncate', isRight(field) && 'text-right')}>
            {cell(key, row.cells[at] ?? '')}
          </span>
        );
      })}
    </div>
  );
});
