import { unmarkedText } from '../../core/shared/neutral-text';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { Readable } from 'node:stream';
import chardet from 'chardet';
import { CsvError, parse } from 'csv-parse';
import { unzipSync } from 'fflate';
import iconv from 'iconv-lite';
import { readSheet } from 'read-excel-file/node';
import { encodings, type ImportSettings } from '../../contract/exchange';
import type { FileTable } from '../../core/exchange/group-rows';
import { invalidField } from '../shared/problem';

const MOST_ROWS = 100_000;
const MOST_COLUMNS = 500;
const MOST_LETTERS = 200_000;
/** A workbook that becomes larger than this is no list of goods. */
const MOST_UNPACKED = 300 * 1024 * 1024;
/** Letters that are read before others are served. */
const SLICE = 128 * 1024;

const refuse = (words: string) => invalidField(['files'], words);

export type FileKind = 'text' | 'xlsx' | 'json';

/** What a file is, by how it begins. */
export function kindOf(content: Buffer, name: string): FileKind {
  if (content.subarray(0, 4).equals(Buffer.from([0x50, 0x4b, 3, 4]))) return 'xlsx';
  if (content.subarray(0, 4).equals(Buffer.from([0xd0, 0xcf, 0x11, 0xe0])))
    throw refuse('This is a workbook of an old kind. Save it as XLSX or CSV, and bring that.');
  if (
    /\.json$/i.test(name) ||
    /^\s*[[{]\s*["{[]/.test(
      content
        .subarray(0, 200)
        .toString('utf8')
        .replace(/^\ufeff/, ''),
    )
  )
    return 'json';
  return 'text';
}

/** The encoding that a text most likely has. */
export function encodingOf(content: Buffer): ImportSettings['encoding'] {
  const [a, b, c] = content;
  if (a === 0xef && b === 0xbb && c === 0xbf) return 'utf-8';
  if (a === 0xff && b === 0xfe) return 'utf-16le';
  if (a === 0xfe && b === 0xff) return 'utf-16be';
  const some = content.subarray(0, 200_000);
  // What reads as UTF-8 is UTF-8; a letter may be cut in two at the end.
  if (!new TextDecoder('utf-8').decode(some).slice(0, -1).includes('\ufffd')) return 'utf-8';
  const found = (chardet.detect(some) ?? '').toLowerCase().replace('iso-8859-1', 'windows-1252');
  return encodings.find((encoding) => encoding === found) ?? 'windows-1252';
}

export const textOf = (content: Buffer, encoding: string): string =>
  iconv.decode(content, encoding).replace(/^\ufeff/, '');

function checked(rows: string[][]): string[][] {
  const width = rows.reduce((most, row) => Math.max(most, row.length), 0);
  if (width > MOST_COLUMNS) throw refuse(`The file has ${width} columns; at most ${MOST_COLUMNS} can be read.`);
  if (rows.length > MOST_ROWS) throw refuse(`The file has more than ${MOST_ROWS.toLocaleString('en')} rows: part it.`);
  return rows;
}

async function textRows(text: string, delimiter: string): Promise<string[][]> {
  if (text.includes('\u0000')) throw refuse('This is not a file of text: choose another encoding, or another file.');
  function* slices() {
    for (let at = 0; at < text.length; at += SLICE) yield text.slice(at, at + SLICE);
  }
  const parser = Readable.from(slices()).pipe(
    parse({
      delimiter,
      relax_column_count: true,
      skip_empty_lines: true,
      record_delimiter: ['\r\n', '\n', '\r'],
      max_record_size: MOST_LETTERS * 4,
      relax_quotes: false,
    }),
  );
  const rows: string[][] = [];
  try {
    for await (const record of parser) {
      const row = record as string[];
      if (row.length > MOST_COLUMNS)
        throw refuse(`Row ${rows.length + 1} has ${row.length} columns; at most ${MOST_COLUMNS} can be read.`);
      if (row.some((cell) => cell.length > MOST_LETTERS)) throw refuse(`A cell in row ${rows.length + 1} is too long.`);
      rows.push(row.map(unmarkedText));
      if (rows.length > MOST_ROWS) break;
      if (rows.length % 2_000 === 0) await nextTurn();
    }
  } catch (error) {
    if (!(error instanceof CsvError)) throw error;
    const where = `row ${rows.length + 1}`;
    throw refuse(
      error.code === 'CSV_QUOTE_NOT_CLOSED'
        ? 'A quotation mark is opened and never closed: the file cannot be read to its end.'
        : error.code === 'CSV_MAX_RECORD_SIZE'
          ? `A cell in ${where} is too long.`
          : `The file cannot be read at ${where}: ${error.code === 'INVALID_OPENING_QUOTE' || error.code === 'CSV_INVALID_CLOSING_QUOTE' ? 'there is a quotation mark in the middle of a cell' : 'its form is broken'}.`,
    );
  }
  return rows;
}

async function sheetRows(content: Buffer): Promise<string[][]> {
  let unpacked = 0;
  try {
    unzipSync(content, {
      filter: ({ originalSize }) => {
        unpacked += originalSize;
        return false;
      },
    });
  } catch {
    throw refuse('The workbook cannot be opened: it is damaged.');
  }
  if (unpacked > MOST_UNPACKED) throw refuse('The workbook becomes far too large when it is unpacked.');
  const cell = (value: unknown): string => {
    if (value === null || value === undefined) return '';
    if (value instanceof Date)
      return value
        .toISOString()
        .slice(0, 16)
        .replace('T', ' ')
        .replace(/ 00:00$/, '');
    return typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value);
  };
  try {
    const rows = (await readSheet(content)) as unknown[][];
    return rows.map((row) => row.map(cell));
  } catch {
    throw refuse('The workbook cannot be read: it holds something else than a sheet with rows.');
  }
}

/** A list of objects; what is a list inside of one stands in one cell. */
function jsonRows(text: string): string[][] {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw refuse('This is not JSON that can be read.');
  }
  const list = Array.isArray(value)
    ? value
    : value && typeof value === 'object'
      ? Object.values(value).find((each): each is unknown[] => Array.isArray(each))
      : undefined;
  if (!list?.every((each) => each !== null && typeof each === 'object' && !Array.isArray(each)))
    throw refuse('JSON has to be a list of objects, one for each row.');
  const records = list as Record<string, unknown>[];
  const heads = [...new Set(records.flatMap((record) => Object.keys(record)))];
  const cell = (held: unknown): string => {
    if (held === null || held === undefined) return '';
    if (typeof held === 'boolean') return held ? 'yes' : 'no';
    if (Array.isArray(held)) return held.map(cell).join('; ');
    return typeof held === 'object' ? JSON.stringify(held) : String(held);
  };
  return [heads, ...records.map((record) => heads.map((head) => cell(record[head])))];
}

type Reading = Pick<ImportSettings, 'encoding' | 'delimiter' | 'hasHead'>;

/** Reads a file into rows of text. Refuses in plain words what is broken, or too large. */
export async function readFile(
  content: Buffer,
  name: string,
  { encoding, delimiter, hasHead }: Reading,
): Promise<FileTable> {
  const kind = kindOf(content, name);
  const rows = checked(
    kind === 'xlsx'
      ? await sheetRows(content)
      : kind === 'json'
        ? jsonRows(textOf(content, encoding))
        : await textRows(textOf(content, encoding), delimiter),
  );
  if (rows.length === 0) throw refuse('There is nothing in this file.');
  const width = rows.reduce((most, row) => Math.max(most, row.length), 0);
  const head = hasHead ? rows[0]! : [];
  return {
    head: Array.from({ length: width }, (_, i) => head[i]?.trim() || `Column ${i + 1}`),
    rows: hasHead ? rows.slice(1) : rows,
  };
}
