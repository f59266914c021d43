import fc from 'fast-check';
import { blockText, pastedCells, textsOf } from './block';

const cell = fc.string({ unit: fc.constantFrom('a', ' ', '"', '\t', '\n', '5', ',') });

test('a block that is copied and pasted is the same, whatever its cells hold', () => {
  const block = fc
    .integer({ min: 1, max: 3 })
    .chain((wide) => fc.array(fc.array(cell, { minLength: wide, maxLength: wide }), { minLength: 1, maxLength: 4 }));
  fc.assert(
    fc.property(block, (rows) => {
      // A last row of nothing but empty cells cannot be told from the line end after a block.
      fc.pre(rows.length === 1 || rows.at(-1)!.some((text) => text !== ''));
      expect(textsOf(blockText(rows))).toEqual(rows);
    }),
  );
});

test('spreadsheet programs end a block with a line end, and quote cells that hold one', () => {
  expect(textsOf('a\tb\r\n1\t2\r\n')).toEqual([
    ['a', 'b'],
    ['1', '2'],
  ]);
  expect(textsOf('"two\nlines"\tx')).toEqual([['two\nlines', 'x']]);
  expect(textsOf('say "hi"')).toEqual([['say "hi"']]);
  expect(textsOf('')).toEqual([['']]);
});

test('one value fills the selected block, a block goes in from its corner, and what does not fit says so', () => {
  const selected = { top: 1, left: 2, bottom: 3, right: 2 };
  expect(pastedCells([['7']], selected, 10, 5)).toEqual({
    cells: [1, 2, 3].map((row) => ({ row, column: 2, text: '7' })),
  });
  const two = [
    ['a', 'b'],
    ['c', 'd'],
  ];
  expect(pastedCells(two, { ...selected, bottom: 1 }, 10, 5)).toEqual({
    cells: [
      { row: 1, column: 2, text: 'a' },
      { row: 1, column: 3, text: 'b' },
      { row: 2, column: 2, text: 'c' },
      { row: 2, column: 3, text: 'd' },
    ],
  });
  expect(pastedCells(two, selected, 2, 5)).toEqual({ problem: 'The block has 2 rows, but only 1 fit from here.' });
  expect(pastedCells(two, selected, 9, 3)).toEqual({ problem: 'The block has 2 columns, but only 1 fit from here.' });
});
