import type { Bitset } from './bitset';
import type { Synonyms } from './synonyms';

/** A word that is looked for. */
export interface QueryWord {
  text: string;
  /** what all forms of it have in common; absent where only the word itself is meant */
  stem?: string;
  /** it has been typed to its end, so that words which only begin like it count where there is no such word */
  isFinished: boolean;
  /** it is no slip of the hand: there is another way to say it */
  isSure?: boolean;
}

/** Products that something named in a query stands for, such as those of a category. */
export interface Meaning {
  set: Bitset;
  score: number;
  /** the thing that was named, in the caller's words, such as "category:c_1": for who asks why */
  what: string;
}

/** What is looked for together: all of its words, or one of the other ways to say it, or what it means. */
export interface QueryPart {
  /** as it was typed, to say what was left out */
  typed: string;
  words: readonly QueryWord[];
  /** counts half a word each */
  others: readonly (readonly QueryWord[])[];
  /** the same written together or apart: counts as typed */
  compounds: readonly (readonly QueryWord[])[];
  meanings: readonly Meaning[];
  /** it is what the query is about; the others say more of it */
  isHead?: boolean;
}

/** A query that was read. */
export interface TextQuery {
  parts: readonly QueryPart[];
  /** where no product has all parts, some of them are left out */
  mayDrop: boolean;
  /** where fewer products than this have all parts, those follow that have all but one */
  fillTo?: number;
  /** stems of its words in order, for how well a title fits */
  stems: readonly string[];
}

/** What a language knows of its words. */
export interface Language {
  stem: (word: string) => string;
  /** words that tell nothing of what is looked for, such as "for" */
  isFiller: (word: string) => boolean;
  /** letters that may stand between words written as one, such as the s of "Werkzeugskasten"; absent where none are */
  links?: readonly string[];
}

/** A query word for word: every word must be met, each may go on, and nothing is meant beside it. */
export function plainQuery(query: string, synonyms: Synonyms): TextQuery {
  const word = (text: string): QueryWord => ({ text, isFinished: false });
  return {
    parts: synonyms.partsOf(query).map(({ words, others }) => ({
      typed: words.join(' '),
      words: words.map(word),
      others: others.map((way) => way.map(word)),
      compounds: [],
      meanings: [],
    })),
    mayDrop: false,
    stems: [],
  };
}
