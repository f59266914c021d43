import type { Product, Variant } from '../model/product';

export interface PlannedCell {
  row: number;
  /** place of the column in the file */
  column: number;
  was: string;
  will: string;
}

export interface PlannedProblem {
  row: number;
  /** null where it is about the whole row */
  column: number | null;
  message: string;
}

/** A text of a product in another language; null takes it away. */
export interface PlannedText {
  locale: string;
  path: string;
  text: string | null;
  /** what it is made from */
  source: string;
}

/** What rows of one product come to. */
export interface PlannedProduct {
  state: 'new' | 'changed' | 'same' | 'refused' | 'deleted' | 'passed';
  rows: readonly number[];
  title: string;
  /** what becomes another */
  cells: readonly PlannedCell[];
  problems: readonly PlannedProblem[];
  before: Product | undefined;
  after: Product | undefined;
  /** what it says in other languages */
  texts: readonly PlannedText[];
}

/** A product as its rows make it, and which variant each row is about. */
export interface Assembled {
  before: Product | undefined;
  product: Product;
  texts: readonly PlannedText[];
  variantOf: ReadonlyMap<number, Variant>;
}

/** Tells what is wrong: at a cell, or with a whole row where no column is to blame. */
export type Refuse = (row: number, column: number | null | undefined, message: string) => void;
