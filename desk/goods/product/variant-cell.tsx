import clsx from 'clsx';
import { memo, useState, type KeyboardEvent } from 'react';
import type { Product, Variant } from '../../../core/catalog/product';
import type { Cells } from './use-cells';
import { cellKey } from './use-product-autosave';
import { columnOf, type ColumnName } from './variant-columns';

interface Props {
  product: Product;
  variant: Variant;
  /** of the row above, which Ctrl+D takes over; undefined in the first row */
  aboveValue: unknown;
  name: ColumnName;
  label: string;
  value: unknown;
  isUnsaved: boolean;
  /** what was typed and cannot be read */
  typed: string | undefined;
  error: string | undefined;
  /** that something is odd, though it is saved */
  note: string | undefined;
  type: Cells['type'];
  paste: Cells['paste'];
  set: Cells['set'];
}

/** Moves to the next cell in the direction of an arrow; false when the arrow is needed inside the text. */
function walk(event: KeyboardEvent<HTMLInputElement>): boolean {
  const input = event.currentTarget;
  const isAll = input.selectionStart === 0 && input.selectionEnd === input.value.length;
  const isEnd = isAll || (input.selectionStart === input.selectionEnd && input.selectionEnd === input.value.length);
  const isStart = isAll || (input.selectionStart === input.selectionEnd && input.selectionEnd === 0);
  const cells = [...input.closest('table')!.querySelectorAll<HTMLInputElement>('input[data-cell]')];
  const width = cells.filter((cell) => cell.dataset.row === input.dataset.row).length;
  const at = cells.indexOf(input);
  const column = at % width;
  const to = {
    ArrowDown: at + width,
    Enter: at + width,
    ArrowUp: at - width,
    ArrowRight: isEnd && column < width - 1 ? at + 1 : undefined,
    ArrowLeft: isStart && column > 0 ? at - 1 : undefined,
  }[event.key];
  if (to === undefined) return false;
  cells[to]?.focus();
  return true;
}

/** One cell of the table of variants: type, arrows, Enter, paste a block, Ctrl+D for what stands above. */
export const VariantCell = memo(function VariantCell(props: Props) {
  const { product, variant, aboveValue, name, label, value, isUnsaved, error, note } = props;
  const column = columnOf(name);
  const [editing, setEditing] = useState<string | null>(null);
  const isLow =
    name === 'stock' && typeof value === 'number' && (variant.warnAt === null ? value <= 0 : value <= variant.warnAt);
  return (
    <td className={clsx('relative border border-hair p-0', error && 'bg-rose-soft')}>
      <input
        data-cell={name}
        data-row={variant.id}
        data-unsaved={isUnsaved || editing !== null || undefined}
        aria-label={label}
        aria-invalid={error ? true : undefined}
        title={error ?? note}
        value={editing ?? props.typed ?? column.show(value, product)}
        inputMode={column.isNumber ? 'decimal' : 'text'}
        placeholder={column.placeholder}
        onFocus={(event) => event.target.select()}
        onChange={(event) => {
          setEditing(event.target.value);
          props.type(variant, name, event.target.value);
        }}
        onBlur={() => setEditing(null)}
        onPaste={(event) => {
          const block = event.clipboardData.getData('text/plain');
          if (!/[\t\n]/.test(block.replace(/\n$/, ''))) return;
          event.preventDefault();
          setEditing(null);
          props.paste(variant, name, block);
        }}
        onKeyDown={(event) => {
          if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd') {
            event.preventDefault();
            if (aboveValue !== undefined) props.set({ [cellKey(variant.id, name)]: aboveValue });
          } else if (!event.ctrlKey && !event.metaKey && !event.altKey && !event.shiftKey && walk(event))
            event.preventDefault();
        }}
        className={clsx(
          'h-[29px] w-full bg-transparent px-2 focus:outline-2 focus:-outline-offset-1 focus:outline-marigold',
          column.isNumber ? 'text-right' : 'narrow',
          isLow && 'font-bold text-rose',
          note && 'underline decoration-marigold decoration-wavy underline-offset-4',
        )}
      />
      {error && (
        <p
          role="alert"
          className="pointer-events-none absolute left-0 top-full z-10 mt-0.5 w-56 rounded-md bg-rose px-2 py-1 text-xs text-sheet shadow"
        >
          {error}
        </p>
      )}
    </td>
  );
});
