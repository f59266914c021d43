import { useState } from 'react';
import { changedAmount, readColumnChange, type Amounts } from '../../../core/pricing/column-change';
import { plainAmount } from '../../../core/shared/money';
import { Button } from '../../shared/ui/button';
import { Dialog } from '../../shared/ui/dialog';
import { TextField } from '../../shared/ui/field';
import { Select } from '../../shared/ui/select';
import { Tick } from '../../shared/ui/tick';
import { counted, readReckoning, replaced } from './column-changes';
import type { SheetColumn } from './sheet-columns';
import type { Sheet, SheetRow, TypedCell } from './use-sheet';

interface Props {
  sheet: Sheet;
  columns: readonly SheetColumn[];
  /** rows that are selected */
  rows: readonly SheetRow[];
  column: SheetColumn;
  close: () => void;
}

const amountKeys = { price: 'variant price', salePrice: 'variant salePrice', cost: 'variant cost' } as const;
const isAmount = (column: SheetColumn) => (Object.values(amountKeys) as string[]).includes(column.key);

/** What arithmetic on amounts makes of a cell; undefined where it stays. */
function reckoned(sheet: Sheet, columns: readonly SheetColumn[], row: SheetRow, column: SheetColumn, typed: string) {
  const change = readColumnChange(typed);
  if (!change) return undefined;
  const amountOf = (key: string) => {
    const of = columns.find((each) => each.key === key);
    const value = of ? sheet.valueAt(row, of) : undefined;
    return typeof value === 'number' ? value : null;
  };
  const amounts = {
    price: amountOf(amountKeys.price),
    salePrice: amountOf(amountKeys.salePrice),
    cost: amountOf(amountKeys.cost),
  } as unknown as Amounts;
  const after = changedAmount(change, amountOf(column.key), amounts, null);
  return after === undefined ? undefined : after === null ? '' : plainAmount(after);
}

/** Changes many cells of one column at once: find and replace, arithmetic, or one value for all. */
export function ColumnWork({ sheet, columns, rows, column: first, close }: Props) {
  const [key, setKey] = useState(first.key);
  const [isAll, setAll] = useState(rows.length <= 1);
  const [how, setHow] = useState<'replace' | 'reckon' | 'set'>(first.isNumber ? 'reckon' : 'replace');
  const [find, setFind] = useState('');
  const [by, setBy] = useState('');
  const [isExact, setExact] = useState(false);
  const column = columns.find((each) => each.key === key)!;
  const among = isAll ? sheet.rows : rows;
  const cells = among.flatMap((row): TypedCell[] => {
    const text = sheet.textAt(row, column);
    const next =
      how === 'replace'
        ? replaced(text, find, by, isExact)
        : how === 'set'
          ? by
          : isAmount(column)
            ? reckoned(sheet, columns, row, column, by)
            : counted(text, by);
    return next === undefined || next === text || !column.canEdit(row.product) ? [] : [{ row, column, text: next }];
  });
  const isReckoning = how === 'reckon' && by.trim() !== '';
  const problem = !isReckoning
    ? undefined
    : isAmount(column)
      ? readColumnChange(by)
        ? undefined
        : 'Type +5 %, -2, =cost*2.4, or an amount.'
      : readReckoning(by)
        ? undefined
        : 'Type +5, -2, *3, /2 or +10 %.';
  const shown = by === '' && how !== 'replace' && how !== 'set' ? [] : how === 'replace' && find === '' ? [] : cells;
  return (
    <Dialog title="Change a column" isOpen close={close} isForm width="max-w-xl">
      <form
        className="flex flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          sheet.type(shown);
          close();
        }}
      >
        <div className="flex flex-wrap items-end gap-3">
          <Select
            label="Column"
            value={key}
            choices={columns.map((each) => ({ value: each.key, label: each.label }))}
            choose={setKey}
            className="w-44"
          />
          <Select
            label="How"
            value={how}
            choices={[
              { value: 'replace', label: 'Find and replace' },
              { value: 'reckon', label: 'Reckon' },
              { value: 'set', label: 'One value' },
            ]}
            choose={(next) => setHow(next as typeof how)}
            className="w-44"
          />
        </div>
        {how === 'replace' && (
          <div className="flex gap-3">
            <TextField label="Find" value={find} autoFocus onChange={(event) => setFind(event.target.value)} />
            <TextField label="Replace by" value={by} onChange={(event) => setBy(event.target.value)} />
          </div>
        )}
        {how === 'replace' && <Tick label="Capital letters as typed" checked={isExact} change={setExact} />}
        {how !== 'replace' && (
          <TextField
            label={how === 'set' ? 'Becomes' : 'Reckoning'}
            hint={
              how === 'set'
                ? 'empty takes the value away'
                : isAmount(column)
                  ? '+5 %, -2, =cost*2.4, =price/2'
                  : '+5, -2, *3, /2, +10 %'
            }
            value={by}
            autoFocus
            error={problem}
            onChange={(event) => setBy(event.target.value)}
          />
        )}
        {rows.length > 1 && (
          <Tick
            label={`All ${sheet.rows.length} rows, not just the ${rows.length} selected`}
            checked={isAll}
            change={setAll}
          />
        )}
        <ul className="max-h-56 overflow-y-auto rounded-lg bg-sunk/50 px-3 py-1.5" aria-label="What would change">
          {shown.slice(0, 100).map(({ row, text }) => (
            <li key={row.key} className="flex items-baseline gap-3 py-0.5">
              <span className="min-w-0 flex-1 truncate">
                {row.product.title} <span className="text-ink-2">{row.name}</span>
              </span>
              <del className="truncate text-ink-2">{sheet.textAt(row, column) || '–'}</del>
              <strong className="truncate">{text || 'nothing'}</strong>
            </li>
          ))}
          {shown.length === 0 && <li className="text-ink-2">Nothing would change yet.</li>}
        </ul>
        <Button type="submit" look="main" disabled={shown.length === 0} className="self-end">
          Change {shown.length} {shown.length === 1 ? 'cell' : 'cells'}
        </Button>
      </form>
    </Dialog>
  );
}
