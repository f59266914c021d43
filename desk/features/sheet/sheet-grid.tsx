import clsx from 'clsx';
import { useMemo, useRef, type MouseEvent } from 'react';
import {
  DataGrid,
  renderTextEditor,
  type CellKeyboardEvent,
  type CellKeyDownArgs,
  type Column,
  type DataGridHandle,
} from 'react-data-grid';
import 'react-data-grid/lib/styles.css';
import { toast } from 'sonner';
import {
  copiedText,
  filledDown,
  isInBlock,
  pastedCells,
  placesIn,
  textsOf,
  type Block,
  type Place,
} from '../../shared/grid/block';
import type { BlockStore } from '../../shared/grid/block-store';
import type { SheetColumn } from './sheet-columns';
import type { Sheet, SheetRow, TypedCell } from './use-sheet';

const ROW = 30;
/** Columns before those of the seller: the name of the row. */
const LEAD = 1;

/** What the grid holds of a row: which one it is, and while a cell is edited, the text that is typed. */
interface GridRow {
  at: number;
  row: SheetRow;
  typed: Record<string, string>;
}

interface Props {
  sheet: Sheet;
  columns: readonly SheetColumn[];
  blocks: BlockStore;
  /** what `blocks` holds now */
  block: Block | undefined;
}

/** Goods as a grid: arrows, typing, blocks by dragging or Shift, copying, pasting, filling down. */
export function SheetGrid({ sheet, columns, blocks, block }: Props) {
  const grid = useRef<DataGridHandle>(null);
  const rows = useMemo(
    () => sheet.rows.map((row, at): GridRow => ({ at, row, typed: {} })),
    // Texts are read while cells are drawn; new objects tell the grid that some are others now.
    [sheet],
  );
  const last: Place = { row: sheet.rows.length - 1, column: columns.length - 1 };

  const type = (cells: readonly TypedCell[]) => {
    const stayed = sheet.type(cells);
    if (stayed > 0)
      toast(
        `${stayed === 1 ? 'One cell stays' : `${stayed} cells stay`}: these products have no such value to change.`,
      );
  };
  const cellAt = ({ row, column }: Place, text: string): TypedCell => ({
    row: sheet.rows[row]!,
    column: columns[column]!,
    text,
  });
  const text = ({ row, column }: Place) => sheet.textAt(sheet.rows[row]!, columns[column]!);

  const placeOf = (event: MouseEvent): Place | undefined => {
    const cell = (event.target as Element).closest('[role="gridcell"]');
    const row = cell?.closest('[role="row"]');
    if (!cell || !row) return undefined;
    const place = { row: Number(row.getAttribute('aria-rowindex')) - 2, column: Number(cell.ariaColIndex) - 1 - LEAD };
    return place.row >= 0 && place.column >= 0 ? place : undefined;
  };

  /** Does what a key means for the block; false when it means nothing for it. */
  const doOnBlock = (event: CellKeyboardEvent): boolean => {
    const isCommand = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    if (event.shiftKey && blocks.extend(event.key, isCommand ? Math.max(last.row, last.column) : 1, last)) return true;
    if (isCommand && key === 'a') {
      blocks.begin({ row: 0, column: 0 });
      blocks.reach(last);
      return true;
    }
    if (!block) return false;
    if (key === 'delete' || key === 'backspace') type(placesIn(block).map((place) => cellAt(place, '')));
    else if (isCommand && key === 'd') type(filledDown(block).map(({ to, from }) => cellAt(to, text(from))));
    else return false;
    return true;
  };

  const onCellKeyDown = (args: CellKeyDownArgs<GridRow>, event: CellKeyboardEvent) => {
    if (args.mode === 'EDIT') {
      if (event.key !== 'Enter') return;
      // Down a column, as one types a list.
      args.onClose(true);
      grid.current?.selectCell({ idx: args.column.idx, rowIdx: Math.min(last.row, args.rowIdx + 1) });
      return event.preventGridDefault();
    }
    if (!doOnBlock(event)) return;
    event.preventGridDefault();
    event.preventDefault();
  };

  const gridColumns = useMemo((): Column<GridRow>[] => {
    const lead: Column<GridRow> = {
      key: 'name',
      name: 'Product',
      width: 230,
      frozen: true,
      resizable: true,
      cellClass: 'sheet-lead',
      renderCell: ({ row: { row } }) => (
        <span className="flex min-w-0 gap-1.5">
          <span className="truncate font-medium">{row.product.title}</span>
          {row.name && <span className="shrink-0 truncate text-ink-2">{row.name}</span>}
        </span>
      ),
    };
    return [
      lead,
      ...columns.map((column, at): Column<GridRow> => ({
        key: column.key,
        name: column.label,
        width: column.width,
        resizable: true,
        editable: ({ row }) => column.canEdit(row.product),
        renderEditCell: (props) =>
          renderTextEditor({
            ...props,
            row: {
              ...props.row,
              [column.key]: props.row.typed[column.key] ?? sheet.textAt(props.row.row, column),
            },
            onRowChange: (changed, isDone) =>
              props.onRowChange(
                { ...props.row, typed: { [column.key]: String((changed as never)[column.key]) } },
                isDone,
              ),
          }),
        cellClass: ({ at: row, row: of }) =>
          clsx(
            column.isNumber && 'text-right',
            sheet.draftAt(of, column) && 'sheet-changed',
            sheet.errorAt(of, column) && 'sheet-wrong',
            !column.canEdit(of.product) && 'sheet-fixed',
            block && isInBlock(block, row, at) && 'sheet-picked',
          ),
        renderCell: ({ row: { row } }) => <span title={sheet.errorAt(row, column)}>{sheet.textAt(row, column)}</span>,
      })),
    ];
  }, [columns, sheet, block]);

  return (
    <div
      className="flex min-h-0 flex-1"
      onMouseDownCapture={(event) => {
        const place = placeOf(event);
        if (!place || event.button !== 0) return;
        if (event.shiftKey) {
          // The grid would move to the cell; the block grows to it instead.
          event.stopPropagation();
          event.preventDefault();
          blocks.reach(place);
        } else blocks.begin(place);
      }}
      onMouseMove={(event) => {
        const place = event.buttons === 1 ? placeOf(event) : undefined;
        if (place) blocks.reach(place);
      }}
    >
      <DataGrid<GridRow>
        ref={grid}
        aria-label="Sheet"
        columns={gridColumns}
        rows={rows}
        rowKeyGetter={({ row }) => row.key}
        rowHeight={ROW}
        headerRowHeight={ROW}
        className="rdg-light sheet-grid"
        onCellKeyDown={onCellKeyDown}
        onSelectedCellChange={({ rowIdx, column }) => {
          const place = { row: rowIdx, column: column.idx - LEAD };
          if (rowIdx >= 0 && place.column >= 0 && !blocks.isPicked(place.row, place.column)) blocks.begin(place);
        }}
        onRowsChange={(changed, { indexes, column }) => {
          const of = columns[column.idx - LEAD]!;
          type(
            indexes.flatMap((at) => {
              const typed = changed[at]!.typed[column.key];
              return typed === undefined ? [] : [{ row: sheet.rows[at]!, column: of, text: typed }];
            }),
          );
        }}
        onFill={({ columnKey, sourceRow, targetRow }) => {
          const column = columns.find(({ key }) => key === columnKey)!;
          return { ...targetRow, typed: { [columnKey]: sheet.textAt(sourceRow.row, column) } };
        }}
        onCellCopy={(_args, event) => {
          if (!block) return;
          event.clipboardData.setData('text/plain', copiedText(block, text));
          event.preventDefault();
        }}
        onCellPaste={({ row }, event) => {
          event.preventDefault();
          const pasted = textsOf(event.clipboardData.getData('text/plain'));
          if (!block) return row;
          const made = pastedCells(pasted, block, sheet.rows.length, columns.length);
          if ('problem' in made) toast.error(`${made.problem} Nothing was pasted.`);
          else type(made.cells.map(({ text: each, ...place }) => cellAt(place, each)));
          return row;
        }}
      />
    </div>
  );
}
