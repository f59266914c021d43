import { nameIdentity } from '../shared/same-name';
import { barcodeProblem, plainBarcode } from '../shared/barcode';
import { delimiters, type Delimiter } from './choices';
import type { ExchangeColumn } from './column';
import type { FileTable } from './group-rows';

/** What a column of a file most likely is, and how sure that is, from 0 to 1. */
export interface Recognised {
  key: string | null;
  confidence: number;
  /** why, in words; empty where nothing was found */
  why: string;
}

const SAMPLES = 200;

/** How much two headings have in common: their words, whatever their order. */
function likeness(a: string, b: string): number {
  const [left, right] = [new Set(a.split(' ')), new Set(b.split(' '))];
  const both = [...left].filter((word) => right.has(word)).length;
  return (2 * both) / (left.size + right.size);
}

const words = (heading: string) =>
  nameIdentity(heading.replace(/([a-z])([A-Z])/g, '$1 $2').replace(/[_\-/.:()[\]]+/g, ' '))
    .replace(/\s+/g, ' ')
    .trim();

/** What values look like, where a heading says nothing. */
function byValues(values: readonly string[]): Recognised | undefined {
  const filled = values.filter(Boolean);
  if (filled.length === 0) return undefined;
  const share = (test: (value: string) => boolean) => filled.filter(test).length / filled.length;
  const isGtin = (value: string) =>
    /^\d{8,14}$/.test(plainBarcode(value)) && barcodeProblem(plainBarcode(value)) === undefined;
  if (share(isGtin) > 0.8) return { key: 'variant barcode', confidence: 0.9, why: 'its values are barcodes' };
  if (share((value) => /^[\d.,\s]+\s?(€|EUR|\$|£)$|^(€|\$|£)\s?[\d.,]+$/.test(value)) > 0.8)
    return { key: 'variant price', confidence: 0.7, why: 'its values are amounts of money' };
  if (share((value) => /^\S+\.(?:jpe?g|png|webp|gif)\b/i.test(value)) > 0.8)
    return { key: 'pictures', confidence: 0.85, why: 'its values are names of pictures' };
  if (share((value) => / > | \/ /.test(value)) > 0.5)
    return { key: 'categoryIds', confidence: 0.6, why: 'its values look like paths of categories' };
  if (share((value) => /<(p|br|ul|div|strong)\b/i.test(value)) > 0.3)
    return { key: 'description', confidence: 0.7, why: 'its values are formatted text' };
  return undefined;
}

/**
 * Tells what the columns of a file are: by what was chosen for the same heading before, by their headings in several languages,
 * and by what their values look like. No field is given to two columns: the surer one has it. O(columns × fields).
 */
export function recogniseColumns(
  { head, rows }: FileTable,
  columns: readonly ExchangeColumn[],
  earlier: ReadonlyMap<string, string>,
): Recognised[] {
  const known = columns.map(({ key, label, aliases }) => ({ key, names: [label, ...aliases].map(words) }));
  const found = head.map((heading, place): Recognised => {
    const called = words(heading);
    const before = earlier.get(called);
    if (before !== undefined && columns.some(({ key }) => key === before))
      return { key: before, confidence: 1, why: 'as you chose before' };
    let best: Recognised = { key: null, confidence: 0, why: '' };
    for (const { key, names } of known)
      names.forEach((name, i) => {
        const alike = name === called ? (i === 0 ? 1 : 0.95) : likeness(name, called) * 0.8;
        if (called !== '' && alike >= 0.6 && alike > best.confidence)
          best = { key, confidence: alike, why: 'by its heading' };
      });
    const seen = byValues(rows.slice(0, SAMPLES).map((row) => (row[place] ?? '').trim()));
    return seen && seen.confidence > best.confidence ? seen : best;
  });
  const taken = new Set<string>();
  const inOrder = found
    .map((each, place) => ({ ...each, place }))
    .sort((a, b) => b.confidence - a.confidence || a.place - b.place);
  for (const { key, place } of inOrder) {
    if (key === null) continue;
    if (taken.has(key)) found[place] = { key: null, confidence: 0, why: '' };
    taken.add(key);
  }
  return found;
}

/** How a heading is remembered. */
export const headingKey = words;

/** The decimal mark of a file: the last mark before one or two digits, as most numbers have it. */
export function decimalMarkOf({ rows }: FileTable): '.' | ',' {
  let [points, commas] = [0, 0];
  for (const row of rows.slice(0, SAMPLES))
    for (const cell of row) {
      const mark = /^[^\d]{0,4}[\d.,'’\s]*\d?([.,])\d{1,2}\s*[^\d]{0,4}$/.exec(cell.trim())?.[1];
      if (mark === '.') points++;
      else if (mark === ',') commas++;
    }
  return commas > points ? ',' : '.';
}

/** What parts the cells of a text: the mark that stands equally often in most lines, quoted text left aside. */
export function delimiterOf(text: string): Delimiter {
  const lines = text
    .slice(0, 50_000)
    .replace(/"(?:[^"]|"")*"/g, '')
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== '')
    .slice(0, 50);
  const scores = delimiters.map((delimiter) => {
    const counts = lines.map((line) => line.split(delimiter).length - 1);
    const first = counts[0] ?? 0;
    return first === 0
      ? 0
      : (counts.filter((count) => count === first).length / counts.length) * Math.min(first, 20) + first / 100;
  });
  return delimiters[scores.indexOf(Math.max(...scores))] ?? ',';
}
