import { stringify } from 'csv-stringify/sync';
import writeExcelFile, { type SheetData } from 'write-excel-file/node';
import type { FileFormat } from '../../contract/exchange';
import { neutralText } from '../../core/shared/neutral-text';
import { Pace } from '../shared/pace';
import { cellText, type Cell, type ExchangeColumn } from '../../core/exchange/column';

/** Rows that are written in one go. */
const AT_ONCE = 200;

interface Options {
  delimiter: string;
  /** a mark at the beginning by which spreadsheets know the encoding */
  hasMark: boolean;
}

const neutral = (cell: Cell): Cell => (typeof cell === 'string' ? neutralText(cell) : cell);

async function csv(heads: readonly string[], rows: Iterable<Cell[]>, { delimiter, hasMark }: Options): Promise<Buffer> {
  const parts = [hasMark ? '\ufeff' : '', stringify([heads.map(neutral)], { delimiter, record_delimiter: '\r\n' })];
  const pace = new Pace();
  let some: string[][] = [];
  const take = () => {
    if (some.length > 0) parts.push(stringify(some, { delimiter, record_delimiter: '\r\n' }));
    some = [];
  };
  for (const row of rows) {
    some.push(row.map((cell) => cellText(neutral(cell))));
    if (some.length < AT_ONCE) continue;
    take();
    await pace.pause();
  }
  take();
  return Buffer.from(parts.join(''));
}

async function xlsx(columns: readonly ExchangeColumn[], rows: Iterable<Cell[]>): Promise<Buffer> {
  const bold = (value: string) => ({ value, fontWeight: 'bold' as const });
  const pace = new Pace();
  const data: SheetData = [columns.map(({ label }) => bold(label))];
  for (const row of rows) {
    data.push(
      row.map((value, i) => {
        if (value === null || value === '') return null;
        if (typeof value === 'number') return columns[i]!.type === 'money' ? { value, format: '0.00' } : { value };
        return { value: cellText(value), type: String };
      }),
    );
    await pace.pause();
  }
  const explained: SheetData = [
    [bold('Column'), bold('What belongs into it')],
    ...columns.map(({ label, explains }) => [{ value: label }, { value: explains }]),
  ];
  return writeExcelFile([
    { data, sheet: 'Goods', stickyRowsCount: 1 },
    { data: explained, sheet: 'Columns', columns: [{ width: 28 }, { width: 90 }] },
  ]).toBuffer();
}

function json(columns: readonly ExchangeColumn[], rows: Iterable<Cell[]>): Buffer {
  const all = Array.from(rows, (row) => Object.fromEntries(columns.map(({ label }, i) => [label, row[i] ?? null])));
  return Buffer.from(`${JSON.stringify(all, null, 2)}\n`);
}

/** Writes rows as a file. */
export function writeFile(
  format: FileFormat,
  columns: readonly ExchangeColumn[],
  rows: Iterable<Cell[]>,
  options: Options,
): Promise<Buffer> {
  switch (format) {
    case 'csv':
      return csv(
        columns.map(({ label }) => label),
        rows,
        options,
      );
    case 'xlsx':
      return xlsx(columns, rows);
    case 'json':
      return Promise.resolve(json(columns, rows));
  }
}

/** Rows of text as CSV that spreadsheets read as it is. */
export const writeRows = (head: readonly string[], rows: Iterable<string[]>): Promise<Buffer> =>
  csv(head, rows, { delimiter: ',', hasMark: true });
