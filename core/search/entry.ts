import type { WeightedText } from './text-index';

/** Facet key and value key. A facet is of products or of variants, not of both. */
export type FacetPair = readonly [facet: string, value: string];
type FacetValues = readonly FacetPair[];

/** One product as the finder keeps it. Column and facet names are the caller's; the finder knows no trade words. */
export interface FinderEntry {
  id: string;
  /** folded title, for sorting and for text conditions */
  title: string;
  /** product columns: whole numbers, or Infinity; names beyond those of the shape make columns of their own */
  numbers: Readonly<Record<string, number>>;
  values: FacetValues;
  texts: readonly WeightedText[];
  variants: readonly {
    id: string;
    /** variant columns: whole numbers, or Infinity */
    numbers: Readonly<Record<string, number>>;
    values: FacetValues;
  }[];
}

export interface SortKey {
  key: string;
  /** a product column, or 'title' */
  by: string;
  descending?: boolean;
  /** breaks ties: a product column, always descending */
  then?: string;
}

/** Facts that are asked for seldom: they are read from the product's id when they are, and kept nowhere before. */
export interface FinderSource {
  /** a product column that entries do not bring; NaN where the product has no such number */
  number: (id: string, column: string) => number;
  /** a text of a product, as written */
  text: (id: string, name: string) => string;
}

/** What an index is told when it is made. */
export interface FinderShape {
  /** facet of products: those that share its values get neighbouring slots when an index is loaded, and are read faster */
  near: string;
  columns: readonly string[];
  variantColumns: readonly string[];
  sorts: readonly SortKey[];
  /** for variant columns whose extent is asked for: the orders that begin with the lowest and with the highest */
  extents: Readonly<Record<string, { low: string; high: string }>>;
}
