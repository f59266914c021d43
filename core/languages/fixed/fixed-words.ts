import { z } from 'zod';
import { languagePart } from '../../shared/language-part';
import { translatable } from '../../model/translatable';
import { pagesGerman } from './pages-de';
import type { InAnother } from './in-another';
import { pagesEnglish } from './pages-en';
import { toldGerman } from './told-de';
import { toldEnglish } from './told-en';
import { sayer, type Say, type Spoken } from './say';

const english = { ...pagesEnglish, ...toldEnglish };
export type WordKey = keyof typeof english;
export const wordKeys = Object.keys(english) as WordKey[];

/** What is shipped, by the beginning of a locale. */
const shipped: Readonly<Record<string, InAnother<typeof english>>> = {
  en: english,
  de: { ...pagesGerman, ...toldGerman },
};

/** Languages that come with fixed words. */
export const shippedLanguages = Object.keys(shipped);

/** Whether the fixed words of a language are there without anybody translating them. */
export const isShipped = (locale: string): boolean => catalogOf(locale) !== undefined;

const catalogOf = (locale: string): Readonly<Record<string, Spoken>> | undefined => shipped[languagePart(locale)];

/** Each word, or each form of one that has several, by its path: "basket.add", "listing.count.one". */
function flat(catalog: Readonly<Record<string, Spoken>>, forms: readonly string[]): Record<string, string> {
  return Object.fromEntries(
    Object.entries(catalog).flatMap(([key, words]): [string, string][] =>
      typeof words === 'string'
        ? [[key, words]]
        : forms.map((form) => [`${key}.${form}`, words[form] ?? words.other ?? '']),
    ),
  );
}

/** Forms that the words of a language have by number: one and other in English, four of them in Polish. */
const formsOf = (locale: string): string[] => new Intl.PluralRules(locale).resolvedOptions().pluralCategories;

export const fixedWordsSchema = z.record(z.string(), translatable(z.string(), 'fixed words'));

/** All fixed words as they are said in the main language, in the forms that another language has, by path. */
export const fixedWordsFor = (main: string, locale: string): Record<string, string> =>
  flat(catalogOf(main) ?? english, formsOf(locale));

/** The words that are shipped for a language, by path; undefined where there are none. */
export function shippedWords(locale: string): Record<string, string> | undefined {
  const catalog = catalogOf(locale);
  return catalog && flat(catalog, formsOf(locale));
}

const pages: Readonly<Record<string, Readonly<Record<keyof typeof pagesEnglish, Spoken>>>> = {
  en: pagesEnglish,
  de: pagesGerman,
};

/** The words of pages in a language; in English where it is not shipped. */
export const pageCatalog = (locale: string) => pages[languagePart(locale)] ?? pagesEnglish;

const pageKeys: ReadonlySet<string> = new Set(Object.keys(pagesEnglish));

/** What browsers get of the words that a seller put in place of others: those that stand in pages. */
export const wordsOfPages = (own: Readonly<Record<string, string>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(own).filter(([path]) => pageKeys.has(path) || pageKeys.has(path.replace(/\.\w+$/, ''))),
  );

/** Says fixed words in a language: those of `own` by their paths before those that are shipped, English where there are none. */
export const sayerOf = (locale: string, own: Readonly<Record<string, string>> = {}): Say<WordKey> =>
  sayer(locale, { ...english, ...catalogOf(locale) }, own);

const NAMED = /\{(\w+)\}/g;
const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** What shoppers are refused with, each as a pattern with the names of what is filled in. */
const refused = wordKeys.flatMap((key) => {
  const words = english[key];
  if (typeof words !== 'string' || !/^(refuse|page|basket)\./.test(key)) return [];
  const names = [...words.matchAll(NAMED)].map(([, name]) => name!);
  const source = words.split(NAMED).map((part, i) => (i % 2 === 1 ? '(.+)' : escaped(part)));
  return [{ key, names, pattern: new RegExp(`^${source.join('')}$`) }];
});

/**
 * A refusal in the language of whoever gets it. It is worded deep down, where nobody knows who asks, so it is told from its
 * English words what is meant. What is no word of the shop stays as it is.
 */
export function saidAgain(message: string, say: Say<WordKey>): string {
  for (const { key, names, pattern } of refused) {
    const found = pattern.exec(message);
    if (found) return say(key, Object.fromEntries(names.map((name, i) => [name, found[i + 1]!])));
  }
  return message;
}
