/** @jest-environment jsdom */
import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import { unmarkedText } from '../../../core/shared/neutral-text';
import { csvText } from './save-csv';

test('what a spreadsheet would run is only words; quotes and line breaks stay in their cell', () => {
  expect(
    csvText([
      ['=1+1', '@cmd', 'a "b"'],
      [7, '-3', 'two\nlines'],
    ]),
  ).toBe('"\'=1+1","\'@cmd","a ""b"""\r\n"7","\'-3","two\nlines"');
});

test('whatever is written is read again, cell by cell', () => {
  const cell = fc.string({ unit: 'grapheme', maxLength: 20 }).filter((text) => !/[\r\0]/.test(text));
  fc.assert(
    fc.property(fc.array(fc.array(cell, { minLength: 2, maxLength: 2 }), { minLength: 1, maxLength: 6 }), (rows) => {
      const read: string[][] = parse(csvText(rows));
      expect(read.map((row) => row.map(unmarkedText))).toEqual(rows);
    }),
  );
});
