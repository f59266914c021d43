declare module 'snowball-stemmers' {
  /** A stemmer of a language by its English name, such as "german". */
  export function newStemmer(language: string): { stem: (word: string) => string };
}
