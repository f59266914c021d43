import type { Product, Variant } from '../model/product';
import type { KnownPicture } from './known-picture';

/** What one cell of a file holds. */
export type Cell = string | number | boolean | null;

/** What a cell means, or what is wrong with it in plain words. */
export type Reading = { value: unknown } | { problem: string };

/** What names stand for in the shop. A file tells things by name that a product holds by id. */
export interface ExchangeNames {
  brand: NameList;
  tag: NameList;
  /** by path: "Kites > Deltas" */
  category: NameList;
  specSheet: NameList;
}

export interface NameList {
  nameOf: (id: string) => string;
  has: (name: string) => boolean;
  /** undefined where there is none, and none is to be made */
  idOf: (name: string) => string | undefined;
}

/** A cell as text. */
export const cellText = (cell: Cell): string =>
  cell === null ? '' : typeof cell === 'boolean' ? (cell ? 'yes' : 'no') : String(cell);

/** How the cells of a file are read. */
export interface ReadTerms {
  decimal: '.' | ',';
  timeZone: string;
  names: ExchangeNames;
  /** a picture by the name of its file, in small letters */
  picture: (name: string) => KnownPicture | undefined;
  /** makes text that came from elsewhere safe to show */
  cleanHtml: (html: string) => string;
}

export interface WriteTerms {
  timeZone: string;
  names: ExchangeNames;
  /** a text of a product in another language; '' where it is not translated */
  told: (locale: string, productId: string, path: string) => string;
}

type CellType = 'text' | 'number' | 'money' | 'yesNo';

/** A column that goods have in files: how it is written there, and how it is read. */
export interface ExchangeColumn {
  key: string;
  /** its heading in files that Dispona writes */
  label: string;
  /** what belongs into it, for whoever fills the file in */
  explains: string;
  /** how others call it, in several languages */
  aliases: readonly string[];
  of: 'product' | 'variant';
  type: CellType;
  write: (product: Product, variant: Variant | undefined, terms: WriteTerms) => Cell;
  /** `text` is trimmed */
  read: (text: string, terms: ReadTerms) => Reading;
  /** the field that it fills; none for columns that say which option or attribute is meant, and for addresses */
  field?: keyof Product | keyof Variant;
  /** a product cannot be without it: an empty cell leaves it as it is */
  isNeeded?: true;
  /** it holds a text of the product in another language, which is kept beside the product */
  wording?: { locale: string; path: keyof Product };
  /** only what is new gets it from a file */
  isForNew?: true;
}

/** Several things in one cell stand with this between them. */
export const BETWEEN = '; ';
export const PATH_BETWEEN = ' > ';

/** The things in a cell that holds several. */
export const partsOf = (text: string): string[] =>
  text
    .split(/[;|\n]/)
    .map((part) => part.trim())
    .filter(Boolean);

const YES = new Set(['yes', 'y', 'true', '1', 'x', 'ja', 'j', 'wahr', 'oui', 'vrai', 'si', 'sí', 'on']);
const NO = new Set(['no', 'n', 'false', '0', '', 'nein', 'falsch', 'non', 'faux', 'off', '-']);

/** Yes or no, as people of several languages and programs write it. */
export function readYesNo(text: string): Reading {
  const word = text.toLowerCase();
  if (YES.has(word)) return { value: true };
  return NO.has(word) ? { value: false } : { problem: 'This has to be yes or no.' };
}

/**
 * A number with the decimal mark of the file, as other readings expect it: "1.234,5" → "1234.5". A mark that parts no thousands
 * is no mark of this file: undefined, to be refused rather than read as a hundred times as much.
 */
export function plainNumber(text: string, decimal: ReadTerms['decimal']): string | undefined {
  const bare = text.replace(/(?<=\d)[\s\u00a0'’](?=\d{3}(?!\d))|^\s+|\s+$|(?<=^-)\s+/g, '');
  const isRight = decimal === ',' ? /^-?\d+(\.\d{3})*(,\d*)?$/ : /^-?\d+(,\d{3})*(\.\d*)?$/;
  if (!isRight.test(bare)) return undefined;
  return decimal === ',' ? bare.replace(/\./g, '').replace(',', '.') : bare.replace(/,/g, '');
}

/** A number, perhaps with a currency before or after it, as a sign, letters or both: "€ 12", "12.50 CHF", "12,– kr.". */
const AMOUNT =
  /^(?:\p{L}{0,3}\.?\p{Sc}?|euro)\s*(?<number>-?\s*(?:[\d.,'’\s]*\d)?)(?:[.,][-–]{1,2})?\s*(?:\p{Sc}|\p{L}{1,3}\.?|euro)?$/iu;

/** An amount in minor units, whatever currency stands beside it; nothing where the cell is empty. */
export function readAmount(text: string, { decimal }: ReadTerms): Reading {
  if (text === '') return { value: null };
  const number = plainNumber(AMOUNT.exec(text)?.groups?.number ?? '', decimal);
  // Files of other programs tell more decimals than there are.
  const amount = Math.round(Number(number) * 100);
  return Number.isSafeInteger(amount) ? { value: amount } : { problem: `“${text}” is not an amount.` };
}

/** A whole number; nothing where the cell is empty. */
export function readWhole(text: string, { decimal }: ReadTerms): Reading {
  if (text === '') return { value: null };
  const number = Number(plainNumber(text, decimal));
  return Number.isSafeInteger(number) ? { value: number } : { problem: `“${text}” is not a whole number.` };
}
