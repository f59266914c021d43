/** A place in a sheet: row and column, counted from 0. */
export interface Place {
  row: number;
  column: number;
}

/** The cells between two corners, both included. */
export interface Block {
  top: number;
  left: number;
  bottom: number;
  right: number;
}

export const blockOf = (a: Place, b: Place): Block => ({
  top: Math.min(a.row, b.row),
  left: Math.min(a.column, b.column),
  bottom: Math.max(a.row, b.row),
  right: Math.max(a.column, b.column),
});

export const isInBlock = ({ top, left, bottom, right }: Block, row: number, column: number): boolean =>
  row >= top && row <= bottom && column >= left && column <= right;

export const isSameBlock = (a: Block, b: Block): boolean =>
  a.top === b.top && a.left === b.left && a.bottom === b.bottom && a.right === b.right;

export const sizeOf = ({ top, left, bottom, right }: Block): number => (bottom - top + 1) * (right - left + 1);

/** What of a block there is in a table that may have become smaller; undefined where nothing is left of it. */
export const clipped = (block: Block, last: Place): Block | undefined =>
  block.top > last.row || block.left > last.column
    ? undefined
    : { ...block, bottom: Math.min(block.bottom, last.row), right: Math.min(block.right, last.column) };

/** Its cells, row by row. */
export function placesIn({ top, left, bottom, right }: Block): Place[] {
  const places: Place[] = [];
  for (let row = top; row <= bottom; row++)
    for (let column = left; column <= right; column++) places.push({ row, column });
  return places;
}

const steps: Readonly<Record<string, readonly [row: number, column: number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
};

/** Where an arrow key leads to from a place, so many cells on and not beyond `last`; undefined for other keys. */
export function stepFrom({ row, column }: Place, key: string, by: number, last: Place): Place | undefined {
  const step = steps[key];
  return step && within({ row: row + step[0] * by, column: column + step[1] * by }, last);
}

/** The place, or the nearest one that there is. */
const within = ({ row, column }: Place, last: Place): Place => ({
  row: Math.max(0, Math.min(last.row, row)),
  column: Math.max(0, Math.min(last.column, column)),
});

/** What filling down takes over: each cell below the top row from that row; of a single row, all from the row above it. */
export function filledDown(block: Block): { to: Place; from: Place }[] {
  const isOne = block.top === block.bottom;
  const from = isOne ? block.top - 1 : block.top;
  if (from < 0) return [];
  return placesIn(isOne ? block : { ...block, top: block.top + 1 }).map((to) => ({
    to,
    from: { row: from, column: to.column },
  }));
}

/** The texts of a block as they are copied. */
export const copiedText = (block: Block, textAt: (place: Place) => string): string =>
  blockText(
    Array.from({ length: block.bottom - block.top + 1 }, (_row, row) =>
      Array.from({ length: block.right - block.left + 1 }, (_column, column) =>
        textAt({ row: block.top + row, column: block.left + column }),
      ),
    ),
  );

/** Texts as spreadsheet programs exchange them: tabs between cells, line ends between rows, quotation marks around both. */
export function blockText(rows: readonly (readonly string[])[]): string {
  const cell = (text: string) => (/[\t\n\r"]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text);
  return rows.map((row) => row.map(cell).join('\t')).join('\n');
}

/** The texts of a pasted block, row by row; a cell in quotation marks may hold tabs and line ends. */
export function textsOf(pasted: string): string[][] {
  const text = pasted.replace(/\r\n?/g, '\n');
  const rows: string[][] = [[]];
  let at = 0;
  while (at <= text.length) {
    let cell = '';
    if (text[at] === '"') {
      const quoted = /^"((?:[^"]|"")*)"(?=[\t\n]|$)/.exec(text.slice(at));
      if (quoted) {
        cell = quoted[1]!.replace(/""/g, '"');
        at += quoted[0].length;
      }
    }
    if (cell === '') {
      const rest = /^[^\t\n]*/.exec(text.slice(at))![0];
      cell = rest;
      at += rest.length;
    }
    rows.at(-1)!.push(cell);
    if (text[at] === '\n') rows.push([]);
    if (at >= text.length) break;
    at++;
  }
  // A line end after the last row is no row of its own.
  if (rows.length > 1 && rows.at(-1)!.every((cell) => cell === '')) rows.pop();
  return rows;
}

export interface PastedCell extends Place {
  text: string;
}

/**
 * Where the texts of a pasted block go: from the corner of the selected block on; again and again when the selection is a
 * multiple of them, such as one value for many cells. `rows` and `columns`: how many the sheet has. Says why where it does not fit.
 */
export function pastedCells(
  texts: readonly (readonly string[])[],
  selected: Block,
  rows: number,
  columns: number,
): { cells: PastedCell[] } | { problem: string } {
  const high = texts.length;
  const wide = Math.max(...texts.map((row) => row.length));
  const repeats = (room: number, size: number) => (room % size === 0 ? room / size : 1);
  const down = repeats(selected.bottom - selected.top + 1, high);
  const across = repeats(selected.right - selected.left + 1, wide);
  const [freeRows, freeColumns] = [rows - selected.top, columns - selected.left];
  if (high > freeRows) return { problem: `The block has ${high} rows, but only ${freeRows} fit from here.` };
  if (wide > freeColumns) return { problem: `The block has ${wide} columns, but only ${freeColumns} fit from here.` };
  const cells: PastedCell[] = [];
  for (let row = 0; row < high * down; row++)
    for (let column = 0; column < wide * across; column++) {
      const text = texts[row % high]![column % wide];
      if (text !== undefined) cells.push({ row: selected.top + row, column: selected.left + column, text });
    }
  return { cells };
}
