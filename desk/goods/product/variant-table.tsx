import clsx from 'clsx';
import { X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { ProductAnswer } from '../../../contract/goods';
import { mediaUrl } from '../../../core/placement/card';
import { kindParts } from '../../../core/catalog/kinds';
import type { Variant } from '../../../core/catalog/product';
import { variantName } from '../../../core/catalog/variants';
import type { Autosave } from '../../use-autosave';
import { Button } from '../../ui/button';
import { Thumb } from '../../ui/thumb';
import { ColumnChoice, useColumns } from './column-choice';
import { LeftOut, useLeaveOut } from './left-out';
import { Part } from './part';
import { PriceTermsPart } from './price-terms';
import { SetColumn } from './set-column';
import { StockDialog } from './stock-ledger';
import { useCells } from './use-cells';
import { cellKey } from './use-product-autosave';
import { VariantCell } from './variant-cell';
import { columnLabel, columnOf } from './variant-columns';
import { WhyPrice } from './why-price';

function PictureCell({ answer, variant, save }: { answer: ProductAnswer; variant: Variant; save: Autosave }) {
  const { pictures } = answer.product;
  const key = cellKey(variant.id, 'pictureId');
  const chosen = (key in save.drafts ? save.drafts[key] : variant.pictureId) as string | null;
  const shown = pictures.find((picture) => picture.id === chosen);
  return (
    <td className="border border-hair px-1.5">
      <label className="relative flex items-center">
        <Thumb src={shown ? mediaUrl(shown.media, 160) : null} frame={shown} className="size-6" />
        <select
          aria-label={`Picture of ${variantName(answer.product.options, variant) || 'this product'}`}
          value={chosen ?? ''}
          onChange={(event) => save.change({ [key]: event.target.value || null })}
          className="absolute inset-0 cursor-pointer opacity-0"
        >
          <option value="">the face</option>
          {pictures.map((picture, i) => (
            <option key={picture.id} value={picture.id}>
              {i + 1}. {picture.alt || 'without words'}
            </option>
          ))}
        </select>
      </label>
    </td>
  );
}

const percent = (basisPoints: number | null | undefined) =>
  basisPoints === null || basisPoints === undefined ? '—' : `${Math.round(basisPoints / 100)}%`;

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

interface Props {
  answer: ProductAnswer;
  save: Autosave;
  fields: Autosave;
}

export function VariantTable({ answer, save, fields }: Props) {
  const { product, margins } = answer;
  const [columns, setColumns] = useColumns(product);
  const [isSetting, setSetting] = useState(false);
  const [isMoving, setMoving] = useState(false);
  const [leaveOut, dialog] = useLeaveOut(answer);
  const cells = useCells(product, columns, save);
  const odd = new Map(answer.duplicates.map((each) => [cellKey(each.variantId, each.field), each]));
  return (
    <Part
      id="prices"
      title="Price & stock"
      hint={product.variants.length > 1 ? `${product.variants.length} variants` : undefined}
      aside={
        <span className="flex gap-1">
          {product.variants.length > 1 && (
            <Button look="bare" onClick={() => setSetting(true)}>
              Set a column…
            </Button>
          )}
          {!kindParts[product.kind].slots && (
            <Button look="bare" onClick={() => setMoving(true)}>
              Stock moved…
            </Button>
          )}
          <ColumnChoice product={product} columns={columns} choose={setColumns} />
        </span>
      }
    >
      <div className="max-h-[520px] overflow-auto">
        <table className="w-full border-collapse">
          <thead className="sticky top-0 z-[5] bg-paper text-left text-xs text-ink-2">
            <tr>
              <th className="left-0 z-[1] border border-hair bg-paper md:sticky px-2 py-1.5 font-semibold">Variant</th>
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
            {product.variants.map((variant, row) => {
              const name = variantName(product.options, variant) || product.title;
              const swatch = product.options[0]?.values.find((value) => value.id === variant.values[0])?.swatch;
              const margin = margins[variant.id];
              return (
                <tr key={variant.id} className="group/row">
                  <th
                    scope="row"
                    className="left-0 z-[1] max-w-60 border border-hair bg-sheet md:sticky px-2 text-left font-medium"
                  >
                    <span className="flex items-center gap-1.5">
                      {swatch && (
                        <span
                          className="size-3 shrink-0 rounded-full ring-1 ring-ink/15"
                          style={{ background: swatch }}
                        />
                      )}
                      <span className="truncate" title={name}>
                        {name}
                      </span>
                      {product.variants.length > 1 && (
                        <button
                          type="button"
                          title="Not sold in this combination"
                          aria-label={`Leave out ${name}`}
                          onClick={() => leaveOut([...product.leftOut, variant.values])}
                          className="ml-auto rounded p-0.5 text-ink-2 opacity-0 hover:text-rose focus-visible:opacity-100 group-hover/row:opacity-100"
                        >
                          <X size={12} aria-hidden="true" />
                        </button>
                      )}
                    </span>
                  </th>
                  <PictureCell answer={answer} variant={variant} save={save} />
                  {columns.map((column) => {
                    const key = cellKey(variant.id, column);
                    const unread = cells.unread[key];
                    return (
                      <VariantCell
                        key={column}
                        product={product}
                        variant={variant}
                        aboveValue={row > 0 ? cells.valueAt(product.variants[row - 1]!, column) : undefined}
                        name={column}
                        label={`${columnLabel(columnOf(column), product)}, ${name}`}
                        value={cells.valueAt(variant, column)}
                        isUnsaved={key in save.drafts || unread !== undefined}
                        typed={unread?.typed}
                        error={unread?.problem ?? save.errors[key]}
                        note={odd.has(key) ? `Also that of ${odd.get(key)!.title}` : undefined}
                        type={cells.type}
                        paste={cells.paste}
                        set={cells.set}
                      />
                    );
                  })}
                  <td
                    className={clsx('border border-hair px-2 text-right', (margin ?? 0) < 0 && 'font-bold text-rose')}
                  >
                    <WhyPrice answer={answer} variant={variant} name={name}>
                      {percent(margin)}
                    </WhyPrice>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {cells.problem && (
        <p role="alert" className="mt-2 text-rose-ink">
          {cells.problem}
        </p>
      )}
      <LeftOut answer={answer} set={leaveOut} />
      {dialog}
      <Duplicates answer={answer} />
      <PriceTermsPart answer={answer} save={fields} />
      {isMoving && <StockDialog answer={answer} close={() => setMoving(false)} />}
      {isSetting && <SetColumn product={product} cells={cells} columns={columns} close={() => setSetting(false)} />}
    </Part>
  );
}
