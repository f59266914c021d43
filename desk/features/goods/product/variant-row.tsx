import clsx from 'clsx';
import { X } from 'lucide-react';
import { memo } from 'react';
import type { Variant } from '../../../../core/model/product';
import type { Picture } from '../../../../core/model/product-values';
import { mediaUrl } from '../../../../core/storefront/picture-sizes';
import { useField } from '../../../shared/autosave/use-autosave';
import { Thumb } from '../../../shared/ui/thumb';
import type { Cells } from './use-cells';
import { cellKey } from './use-product-autosave';
import { VariantCell } from './variant-cell';
import { columnLabel, columnOf, type ColumnName, type PricedBy } from '../../../shared/variant-columns';

interface Props {
  variant: Variant;
  name: string;
  swatch: string | null;
  pictures: readonly Picture[];
  columns: readonly ColumnName[];
  cells: Cells;
  pricedBy: PricedBy & Parameters<typeof columnLabel>[1];
  /** basis points; null when it is not known */
  margin: number | null;
  /** what is odd about a cell, by column */
  notes: Readonly<Partial<Record<ColumnName, string>>>;
  /** absent where there is only one variant */
  leaveOut?: (variant: Variant) => void;
  why: (variantId: string) => void;
}

function PictureCell({ cells, variant, name, pictures }: Pick<Props, 'cells' | 'variant' | 'name' | 'pictures'>) {
  const { value: chosen, change } = useField<string | null>(cells.save, cellKey(variant.id, 'pictureId'));
  const shown = pictures.find((picture) => picture.id === chosen);
  return (
    <td className="border border-hair px-1.5">
      <label className="relative flex items-center">
        <Thumb src={shown ? mediaUrl(shown.media, 160) : null} frame={shown} className="size-6" />
        <select
          aria-label={`Picture of ${name}`}
          value={chosen ?? ''}
          onChange={(event) => change(event.target.value || null)}
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

const percent = (basisPoints: number | null) => (basisPoints === null ? '—' : `${Math.round(basisPoints / 100)}%`);

/** One variant: its name, its picture, its cells and its margin. Drawn again only when something of its own changed. */
export const VariantRow = memo(function VariantRow(props: Props) {
  const { variant, name, swatch, pictures, columns, cells, pricedBy, margin, notes, leaveOut, why } = props;
  return (
    <tr className="group/row">
      <th
        scope="row"
        className="left-0 z-[1] max-w-60 border border-hair bg-sheet px-2 text-left font-medium md:sticky"
      >
        <span className="flex items-center gap-1.5">
          {swatch && (
            <span className="size-3 shrink-0 rounded-full ring-1 ring-ink/15" style={{ background: swatch }} />
          )}
          <span className="truncate" title={name}>
            {name}
          </span>
          {leaveOut && (
            <button
              type="button"
              title="Not sold in this combination"
              aria-label={`Leave out ${name}`}
              onClick={() => leaveOut(variant)}
              className="ml-auto grid size-6 shrink-0 place-items-center rounded text-ink-2 hover:text-rose focus-visible:opacity-100 group-hover/row:opacity-100 pointer-fine:opacity-0"
            >
              <X size={12} aria-hidden="true" />
            </button>
          )}
        </span>
      </th>
      <PictureCell {...{ cells, variant, name, pictures }} />
      {columns.map((column) => (
        <VariantCell
          key={column}
          cells={cells}
          variantId={variant.id}
          name={column}
          label={`${columnLabel(columnOf(column), pricedBy)}, ${name}`}
          pricedBy={pricedBy}
          warnAt={variant.warnAt}
          note={notes[column]}
        />
      ))}
      <td className={clsx('border border-hair px-2 text-right', (margin ?? 0) < 0 && 'font-bold text-rose')}>
        <button
          type="button"
          aria-label={`Why: price and margin of ${name}`}
          title="Why?"
          onClick={() => why(variant.id)}
          className="underline decoration-dotted decoration-ink-3 underline-offset-4 hover:decoration-ink"
        >
          {percent(margin)}
        </button>
      </td>
    </tr>
  );
});
