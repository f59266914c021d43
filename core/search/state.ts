/**
 * An index as plain numbers and texts, which can be cloned, written to a file and read again: what `state()` answers and
 * `of()` takes over. Each state owns its arrays.
 */
export interface IndexState {
  text: TextState;
  facets: FacetsState;
  alive: BitsetState;
  ids: string[];
  titles: string[];
  freeSlots: number[];
  /** those that entries brought */
  columns: [name: string, numbers: Float64Array<ArrayBuffer>][];
  variants: VariantsState;
  orders: [key: string, slots: Uint32Array<ArrayBuffer>][];
  valuesOf: IdListsState;
  variantValuesOf: IdListsState;
}

export interface VariantsState {
  alive: BitsetState;
  owner: Uint32Array<ArrayBuffer>;
  start: Uint32Array<ArrayBuffer>;
  count: Uint32Array<ArrayBuffer>;
  ids: string[];
  end: number;
  free: [length: number, starts: number[]][];
  columns: [name: string, numbers: Int32Array<ArrayBuffer>][];
}

export interface BitsetState {
  size: number;
  words: Uint32Array<ArrayBuffer>;
}

export interface FacetsState {
  names: string[];
  onVariants: boolean[];
  values: { facet: string; value: string; products: BitsetState; variants: BitsetState | undefined }[];
  totals: Uint32Array<ArrayBuffer>;
  facetOf: Uint16Array<ArrayBuffer>;
}

export interface IdListsState {
  bits: 8 | 16 | 32;
  pool: Pool;
  end: number;
  waste: number;
  rows: Uint32Array<ArrayBuffer>;
  room: [row: number, room: number][];
}

export type Pool = Uint8Array<ArrayBuffer> | Uint16Array<ArrayBuffer> | Uint32Array<ArrayBuffer>;

export interface TextState {
  vocabulary: VocabularyState;
  counts: Uint32Array<ArrayBuffer>;
  only: Uint32Array<ArrayBuffer>;
  /** the postings of all words that have two or more, one word after the other */
  postings: Uint32Array<ArrayBuffer>;
  termsOf: IdListsState;
}

export interface VocabularyState {
  words: (string | undefined)[];
  freeIds: number[];
  table: Uint32Array<ArrayBuffer>;
  order: Uint32Array<ArrayBuffer>;
  heads: Uint32Array<ArrayBuffer>;
}
