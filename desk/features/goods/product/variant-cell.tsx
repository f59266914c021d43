import clsx from 'clsx';
import { memo, useState, useSyncExternalStore, type KeyboardEvent } from 'react';
import { unreadAt } from '../../../shared/autosave/step';
import { useField, useProgress } from '../../../shared/autosave/use-autosave';
import type { Cells } from './use-cells';
import { cellKey } from './use-product-autosave';
import { columnOf, type ColumnName, type PricedBy } from '../../../shared/variant-columns';

interface Props {
  cells: Cells;
  variantId: string;
  name: ColumnName;
  label: string;
  pricedBy: PricedBy;
  /** number of pieces at which little is left; null for none */
  warnAt: number | null;
  /** that something is odd, though it is saved */
  note: string | undefined;
}

/** Up and down mean nothing in one line of text; to the sides, only where the whole text is marked. */
function isForBlock({ key, currentTarget: { selectionStart, selectionEnd, value } }: KeyboardEvent<HTMLInputElement>) {
  return key === 'ArrowUp' || key === 'ArrowDown' || (selectionStart === 0 && selectionEnd === value.length);
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

/** One cell of the table of variants: type, arrows, Enter; blocks with Shift; copy, paste, Delete, Ctrl+D to fill down. */
export const VariantCell = memo(function VariantCell({ cells, variantId, name, label, pricedBy, warnAt, note }: Props) {
  const column = columnOf(name);
  const key = cellKey(variantId, name);
  const { value, error, unsaved } = useField<unknown>(cells.save, key);
  const unread = useProgress(cells.save, (progress) => unreadAt(progress, key));
  const noteId = `${variantId}-${name}-note`;
  const [editing, setEditing] = useState<string | null>(null);
  const isPicked = useSyncExternalStore(cells.block.subscribe, () => {
    const { row, column: at } = cells.placeOf(variantId, name);
    return cells.block.isPicked(row, at);
  });
  const isLow = name === 'stock' && typeof value === 'number' && value <= (warnAt ?? 0);
  return (
    <td
      className={clsx('relative border border-hair p-0', error ? 'bg-rose-soft' : isPicked && 'bg-marigold-soft')}
      data-picked={isPicked || undefined}
    >
      <input
        data-cell={name}
        data-row={variantId}
        data-unsaved={unsaved || undefined}
        aria-label={label}
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? noteId : undefined}
        title={error ?? note}
        value={editing ?? unread ?? column.show(value, pricedBy)}
        inputMode={column.isNumber ? 'decimal' : 'text'}
        placeholder={column.placeholder}
        onFocus={(event) => {
          event.target.select();
          cells.block.begin(cells.placeOf(variantId, name));
        }}
        onMouseDown={(event) => {
          const place = cells.placeOf(variantId, name);
          if (!event.shiftKey || !event.currentTarget.closest('table')!.contains(document.activeElement))
            return cells.block.begin(place);
          // The cursor stays where the block began.
          event.preventDefault();
          cells.block.reach(place);
        }}
        onCopy={(event) => {
          if (!cells.picked()) return;
          event.preventDefault();
          event.clipboardData.setData('text/plain', cells.copied());
        }}
        onChange={(event) => {
          setEditing(event.target.value);
          cells.type(variantId, name, event.target.value);
        }}
        onBlur={() => setEditing(null)}
        onPaste={(event) => {
          const pasted = event.clipboardData.getData('text/plain');
          if (!cells.picked() && !/[\t\n]/.test(pasted.replace(/\n$/, ''))) return;
          event.preventDefault();
          setEditing(null);
          cells.paste(variantId, name, pasted);
        }}
        onKeyDown={(event) => {
          const isCommand = event.ctrlKey || event.metaKey;
          if (event.shiftKey && !isCommand && isForBlock(event) && cells.block.extend(event.key, 1, cells.last()))
            event.preventDefault();
          else if (cells.picked() && (event.key === 'Delete' || event.key === 'Backspace')) {
            event.preventDefault();
            setEditing(null);
            cells.empty();
          } else if (isCommand && event.key.toLowerCase() === 'd') {
            event.preventDefault();
            setEditing(null);
            cells.fillDown(variantId, name);
          } else if (!isCommand && !event.altKey && !event.shiftKey && walk(event)) event.preventDefault();
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
          id={noteId}
          role="alert"
          className="pointer-events-none absolute left-0 top-full z-10 mt-0.5 w-56 rounded-md bg-rose px-2 py-1 text-xs text-sheet shadow"
        >
          {error}
        </p>
      )}
    </td>
  );
});
