import { z } from 'zod';

/** What whoever translates a text has to know of it. */
export interface TextMark {
  /** what it is called in a list of texts: "title", "words of a button" */
  words: string;
  /** plain words, sanitised HTML, or the part of an address; plain where it is not said */
  form?: 'html' | 'address';
  /** fine as it is in every language, so that nobody misses a translation: names, addresses */
  optional?: true;
  /** most letters that fit; told by the schema */
  most?: number;
}

const marks = z.registry<TextMark>();

/** Declares that shoppers read a text, so that it is translated: the one place where that is said. */
export function translatable<S extends z.ZodType>(
  schema: S,
  words: string,
  more: Omit<TextMark, 'words' | 'most'> = {},
): S {
  marks.add(schema, { words, ...more });
  return schema;
}

/** How a text is marked; undefined for what is no text that shoppers read. */
export const markOf = (schema: z.ZodType): TextMark | undefined => marks.get(schema);
