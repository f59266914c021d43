import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import clsx from 'clsx';
import { useMemo, useRef, useState, type ReactNode, type RefObject } from 'react';
import { Link } from 'react-router';
import type { ProductAnswer } from '../../../../contract/product';
import { kindParts } from '../../../../core/products/kinds';
import type { Variant } from '../../../../core/model/product';
import { variantName } from '../../../../core/products/variants';
import type { Autosave } from '../../../shared/autosave/autosave';
import { Button } from '../../../shared/ui/button';
import { useEvent } from '../../../shared/ui/use-event';
import { ColumnChoice, useColumns } from './column-choice';
import { LeftOut, useLeaveOut } from './excluded-combinations';
import { Part } from './part';
import { PriceTermsPart } from './price-terms';
import { SetColumn } from './set-column';
import { StockDialog } from './stock-ledger';
import { useCells } from './use-cells';
import { columnLabel, columnOf, type ColumnName } from '../../../shared/variant-columns';
import { VariantRow } from './variant-row';
import { WhyPrice } from './why-price';

/** SKUs and barcodes that stand elsewhere too, each with a way there. */
function Duplicates({ answer }: { answer: ProductAnswer }) {
  if (answer.duplicates.length === 0) return null;
  return (
    <ul className="mt-2 flex flex-col gap-1 rounded-lg bg-marigold-soft px-3 py-2 text-marigold-ink">
      {answer.duplicates.slice(0, 5).map(({ variantId, field, value, productId, title }) => (
        <li key={`${variantId} ${field}`}>
          The {field === 'sku' ? 'SKU' : 'barcode'} <strong>{value}</strong>{' '}
          {productId === answer.product.id ? (
            'stands twice in this product.'
          ) : (
            <>
              is also that of{' '}
              <Link to={`/goods/${productId}`} className="font-semibold underline">
                {title}
              </Link>
              .
            </>
          )}
        </li>
      ))}
      {answer.duplicates.length > 5 && <li>and {answer.duplicates.length - 5} more</li>}
    </ul>
  );
}

/** From so many variants on only the rows in view are drawn. */
const MANY = 40;
const ROW = 30;
const NO_NOTES = {};

interface RowsProps {
  count: number;
  scroller: RefObject<HTMLDivElement | null>;
  /** the row that the cursor is in, which stays even when it is scrolled out of sight */
  cursor: number;
  draw: (at: number) => ReactNode;
  columns: number;
}

/** The rows of a long table that are in view, with the room of the others before and after them. */
function RowsInView({ count, scroller, cursor, draw, columns }: RowsProps) {
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
    rangeExtractor: (range) => {
      const inView = defaultRangeExtractor(range);
      return cursor < 0 || inView.includes(cursor) ? inView : [...inView, cursor].sort((a, b) => a - b);
    },
  });
  const rows: ReactNode[] = [];
  let end = 0;
  const room = (key: string, size: number) =>
    size > 0 && (
      <tr key={key} aria-hidden="true">
        <td colSpan={columns} style={{ height: size, padding: 0 }} />
      </tr>
    );
  for (const item of virtual.getVirtualItems()) {
    rows.push(room(`before ${item.index}`, item.start - end), draw(item.index));
    end = item.end;
  }
  rows.push(room('after', virtual.getTotalSize() - end));
  return rows;
}

interface Props {
  answer: ProductAnswer;
  save: Autosave;
  fields: Autosave;
}

export function VariantTable({ answer, save, fields }: Props) {
  const { product, margins, duplicates } = answer;
  const { variants, options, unitPricing, kind, pictures } = product;
  const [columns, setColumns] = useColumns(product);
  const [doing, setDoing] = useState<'column' | 'stock' | null>(null);
  const [asked, setAsked] = useState<string | null>(null);
  const [cursor, setCursor] = useState(-1);
  const [exclude, dialog] = useLeaveOut(answer);
  const [cells, problem] = useCells(product, columns, save);
  const scroller = useRef<HTMLDivElement>(null);
  const pricedBy = useMemo(() => ({ unitPricing, kind }), [unitPricing, kind]);
  const notes = useMemo(() => {
    const byVariant = new Map<string, Partial<Record<ColumnName, string>>>();
    for (const { variantId, field, title } of duplicates)
      byVariant.set(variantId, { ...byVariant.get(variantId), [field]: `Also that of ${title}` });
    return byVariant;
  }, [duplicates]);
  const leaveOut = useEvent((variant: Variant) => exclude([...product.excludedCombinations, variant.values]));
  const draw = (at: number) => {
    const variant = variants[at]!;
    return (
      <VariantRow
        key={variant.id}
        variant={variant}
        name={variantName(options, variant) || product.title}
        swatch={options[0]?.values.find((value) => value.id === variant.values[0])?.swatch ?? null}
        pictures={pictures}
        columns={columns}
        cells={cells}
        pricedBy={pricedBy}
        margin={margins[variant.id] ?? null}
        notes={notes.get(variant.id) ?? NO_NOTES}
        leaveOut={variants.length > 1 ? leaveOut : undefined}
        why={setAsked}
      />
    );
  };
  const askedVariant = variants.find(({ id }) => id === asked);
  return (
    <Part
      id="prices"
      title="Price & stock"
      hint={variants.length > 1 ? `${variants.length} variants` : undefined}
      aside={
        <span className="flex gap-1">
          {variants.length > 1 && (
            <Button look="bare" onClick={() => setDoing('column')}>
              Set a column…
            </Button>
          )}
          {!kindParts[kind].slots && (
            <Button look="bare" onClick={() => setDoing('stock')}>
              Stock moved…
            </Button>
          )}
          <ColumnChoice product={product} columns={columns} choose={setColumns} />
        </span>
      }
    >
      <div
        ref={scroller}
        className="max-h-[520px] overflow-auto contain-paint"
        onBlur={({ currentTarget, relatedTarget }) => {
          if (!currentTarget.contains(relatedTarget)) cells.block.single();
        }}
        onFocus={({ target }) => {
          const id = target.dataset.row;
          setCursor(id === undefined ? -1 : variants.findIndex((variant) => variant.id === id));
        }}
      >
        <table className="w-full border-collapse" aria-rowcount={variants.length + 1}>
          <thead className="sticky top-0 z-[5] bg-paper text-left text-xs text-ink-2">
            <tr>
              <th className="left-0 z-[1] border border-hair bg-paper px-2 py-1.5 font-semibold md:sticky">Variant</th>
              <th className="border border-hair px-1 font-semibold">
                <span className="sr-only">Picture</span>
              </th>
              {columns.map(columnOf).map((column) => (
                <th
                  key={column.name}
                  className={clsx(
                    'whitespace-nowrap border border-hair px-2 font-semibold',
                    column.width,
                    column.isNumber && 'text-right',
                  )}
                >
                  {columnLabel(column, product)}
                </th>
              ))}
              <th
                className="border border-hair px-2 text-right font-semibold"
                title="Of the price without tax. Each opens how it comes about."
              >
                Margin
              </th>
            </tr>
          </thead>
          <tbody>
            {variants.length > MANY ? (
              <RowsInView {...{ count: variants.length, scroller, cursor, draw }} columns={columns.length + 3} />
            ) : (
              variants.map((_, at) => draw(at))
            )}
          </tbody>
        </table>
      </div>
      {problem && (
        <p role="alert" className="mt-2 text-rose-ink">
          {problem}
        </p>
      )}
      <LeftOut answer={answer} set={exclude} />
      {dialog}
      <Duplicates answer={answer} />
      <PriceTermsPart answer={answer} save={fields} />
      {askedVariant && (
        <WhyPrice
          answer={answer}
          variant={askedVariant}
          name={variantName(options, askedVariant) || product.title}
          close={() => setAsked(null)}
        />
      )}
      {doing === 'stock' && <StockDialog answer={answer} close={() => setDoing(null)} />}
      {doing === 'column' && (
        <SetColumn product={product} cells={cells} columns={columns} close={() => setDoing(null)} />
      )}
    </Part>
  );
}
