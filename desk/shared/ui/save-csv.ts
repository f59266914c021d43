import { neutralText } from '../../../core/shared/neutral-text';
import { saveFile } from './save-file';

type Row = readonly (string | number)[];

/** Rows as a CSV text, each cell quoted; what a spreadsheet would take for a formula is only words in it. */
export const csvText = (rows: readonly Row[]): string =>
  rows.map((row) => row.map((cell) => `"${neutralText(String(cell)).replace(/"/g, '""')}"`).join(',')).join('\r\n');

/** Hands rows to the browser as a CSV file to keep. */
export const saveCsv = (name: string, rows: readonly Row[]): void => saveFile(name, 'text/csv', csvText(rows));
