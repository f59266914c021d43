/** A small drawing that explains an idea with the seller's own goods. */
export type Drawing =
  'goods' | 'tray' | 'rule' | 'shelf' | 'pinned' | 'variants' | 'margin' | 'edition' | 'places' | 'stock';

/** An idea of Dispona, explained. */
export interface Topic {
  key: string;
  title: string;
  /** paragraphs, in plain words */
  words: readonly string[];
  drawing?: Drawing;
  /** where it is done, with the words of the way there */
  to?: { at: string; words: string };
}

/** What is explained about one desk. `at`: how the addresses of its screens begin. */
export interface DeskHelp {
  name: string;
  at: readonly string[];
  topics: readonly Topic[];
}
