import clsx from 'clsx';
import { Pin } from 'lucide-react';
import type { ReactNode } from 'react';
import { formatMoney } from '../../../core/shared/money';
import type { GoodsRow } from '../../../contract/goods';
import { Places } from '../../shared/ui/places';
import { StatusTag } from '../../shared/ui/swing-tag';
import { Thumb } from '../../shared/ui/thumb';
import type { Drawing } from './topic';

interface Props {
  drawing: Drawing;
  rows: readonly GoodsRow[];
  currency: string;
}

function Card({ row, children, isPale = false }: { row: GoodsRow; children?: ReactNode; isPale?: boolean }) {
  return (
    <span className={clsx('flex w-20 flex-col gap-1 text-xs', isPale && 'opacity-35')}>
      <Thumb src={row.thumbnail} frame={row.frame} className="size-20" />
      <span className="truncate" title={row.title}>
        {row.title}
      </span>
      {children}
    </span>
  );
}

const row = 'flex flex-wrap gap-3';

/** A price that about half of these goods are below. */
const middlePrice = (rows: readonly GoodsRow[]) =>
  [...rows].map(({ price }) => price.min).sort((a, b) => a - b)[Math.floor(rows.length / 2)]!;

/** How each idea is drawn from a few goods of the shop. */
const drawings: Record<Drawing, (rows: readonly GoodsRow[], money: (minor: number) => string) => ReactNode> = {
  goods: (rows) => (
    <div className={row}>
      {rows.map((each) => (
        <Card key={each.id} row={each}>
          <StatusTag shownStatus={each.shownStatus} />
        </Card>
      ))}
    </div>
  ),
  tray: (rows) => (
    <div className="flex items-center gap-2 rounded-lg bg-ink px-3 py-2 text-sheet">
      {rows.map(({ id, thumbnail }) => (
        <Thumb key={id} src={thumbnail} className="size-8" />
      ))}
      <span>{rows.length} in the tray: price, category, standing …</span>
    </div>
  ),
  rule: (rows, money) => {
    const limit = middlePrice(rows);
    return (
      <>
        <p className="mb-2 w-fit rounded-lg bg-sunk px-2.5 py-1">price below {money(limit)}</p>
        <div className={row}>
          {rows.map((each) => (
            <Card key={each.id} row={each} isPale={each.price.min >= limit}>
              {money(each.price.min)}
            </Card>
          ))}
        </div>
      </>
    );
  },
  shelf: (rows) => (
    <div className="border-b-4 border-ink pb-1">
      <div className={row}>
        {rows.map((each) => (
          <Card key={each.id} row={each} />
        ))}
      </div>
    </div>
  ),
  pinned: (rows) => (
    <div className={row}>
      {[...rows].reverse().map((each, i) => (
        <Card key={each.id} row={each}>
          {i === 0 && (
            <span className="flex items-center gap-1 text-marigold-ink">
              <Pin size={12} aria-hidden="true" /> pinned first
            </span>
          )}
        </Card>
      ))}
    </div>
  ),
  variants: (rows) => (
    <div className={row}>
      {[...rows]
        .sort((a, b) => b.variantCount - a.variantCount)
        .map((each) => (
          <Card key={each.id} row={each}>
            {each.variantCount === 1 ? 'one of its sort' : `${each.variantCount} variants`}
          </Card>
        ))}
    </div>
  ),
  margin: (rows, money) => (
    <div className={row}>
      {rows.map((each) => (
        <Card key={each.id} row={each}>
          <span>{money(each.price.min)}</span>
          <span className="text-ink-2">
            {each.margin === null ? 'no cost yet' : `margin ${Math.round(each.margin / 100)} %`}
          </span>
        </Card>
      ))}
    </div>
  ),
  edition: (rows) => (
    <div className="grid grid-cols-2 gap-3">
      <div className="rounded-lg bg-sunk p-2">
        <p className="mb-1 text-xs font-semibold">Your work</p>
        <div className={row}>
          {rows.slice(0, 2).map((each) => (
            <Card key={each.id} row={each} />
          ))}
        </div>
      </div>
      <div className="rounded-lg border-2 border-marigold p-2">
        <p className="mb-1 text-xs font-semibold">What shoppers see</p>
        <div className={row}>
          {rows.slice(1, 2).map((each) => (
            <Card key={each.id} row={each} />
          ))}
        </div>
      </div>
    </div>
  ),
  places: (rows) => (
    <div className={row}>
      {rows.map((each) => (
        <Card key={each.id} row={each}>
          <Places count={each.places} />
        </Card>
      ))}
    </div>
  ),
  stock: (rows) => (
    <div className={row}>
      {rows.map((each) => (
        <Card key={each.id} row={each}>
          {each.stock === null ? 'not counted' : each.stock === 0 ? 'sold out' : `${each.stock} left`}
        </Card>
      ))}
    </div>
  ),
};

/** An idea, drawn with goods of the shop; nothing while there are none. */
export function OwnGoods({ drawing, rows, currency }: Props) {
  if (rows.length === 0) return null;
  return (
    <figure className="my-3" aria-label="Drawn with your goods">
      {drawings[drawing](rows, (minor) => formatMoney(minor, currency))}
    </figure>
  );
}
