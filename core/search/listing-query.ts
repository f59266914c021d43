import type { Bitset } from './bitset';
import type { TextIndex } from './text-index';
import type { TextQuery } from './text-query';

/** Texts of the products of an index, by the same slots. */
export interface SearchedTexts {
  index: TextIndex;
  /** folded */
  title: (slot: number) => string;
}

/** At least one of these values of the facet. */
export interface ChoiceFilter {
  facet: string;
  values: readonly string[];
  onVariant: boolean;
}

/** A number column of variants between two ends, both included. */
interface RangeFilter {
  column: string;
  /** what it is called among the filters; the column where absent */
  name?: string;
  min: number;
  max: number;
}

/**
 * A span of numbers that each product has, between its columns `low` and `high` (the same one where it is a single
 * number). Products whose span meets the wanted one pass; those without numbers do not.
 */
export interface ProductSpan {
  name: string;
  low: string;
  high: string;
}

/** Numbers are counted between these bounds, in rising order; what lies beyond the first or last counts at that end. */
export interface Histogram {
  name: string;
  column: string;
  onVariant: boolean;
  bounds: readonly number[];
}

export interface ListingQuery {
  /** products among which to look; all when absent */
  base?: Bitset;
  /** variants of which one must pass all filters on variants; all when absent */
  variantBase?: Bitset;
  /** words as they were typed, or a query that was read */
  text?: string | TextQuery;
  /** the texts that it is looked for in, where they are not those of the index: of another language */
  texts?: SearchedTexts;
  /** AND across filters, OR inside one; those on variants must hold on one and the same variant */
  choices?: readonly ChoiceFilter[];
  ranges?: readonly RangeFilter[];
  /** on whole products */
  spans?: readonly (ProductSpan & { min: number; max: number })[];
  /** key of one of the index's orders; 'match' for the best text match first; or slots in an order of one's own */
  sort: string | ArrayLike<number>;
  /** order that breaks ties between equal text matches */
  tieOrder?: string;
  offset: number;
  limit: number;
  /** products that come after all others, whatever the order */
  last?: Bitset;
  /** facets whose values are counted */
  count?: readonly string[];
  /** variant columns whose lowest and highest value is wanted */
  extent?: readonly string[];
  /** spans of products whose lowest and highest number is wanted, by name */
  spanExtents?: readonly ProductSpan[];
  /** numbers whose distribution is wanted, whatever is asked of the same name */
  histograms?: readonly Histogram[];
  /** products that bear on no extent */
  extentWithout?: Bitset;
}

export interface ListingResult {
  total: number;
  /** product slots of the page */
  slots: number[];
  /** all that match */
  products: Bitset;
  /** by name, how many products lie in each span between two bounds */
  histograms: Map<string, Uint32Array>;
  /** facet → numbers of products that would match with a value, by value id, whatever else of the facet is chosen */
  counts: Map<string, Uint32Array>;
  extents: Map<string, { min: number; max: number } | null>;
  /** parts of the text that were left out, so that something is found */
  dropped: string[];
  /** of the total, those that have all that was left in; the others come close */
  full: number;
  /** variants that pass all variant filters; undefined when there are none */
  variants: Bitset | undefined;
}
