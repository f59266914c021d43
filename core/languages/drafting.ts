import { languagePart } from '../shared/language-part';
import type { Languages } from '../model/languages';
import { fold } from '../shared/fold';
import { germanWords } from './dictionary-de';
import type { TranslationMemory } from './memory';

const dictionaries: Readonly<Record<string, Readonly<Record<string, string>>>> = { de: germanWords };

const NUMBERS = /\d+(?:[.,]\d+)?/g;

const isCapital = (word: string) => /^\p{Lu}/u.test(word);
const capital = (word: string) => word.charAt(0).toLocaleUpperCase() + word.slice(1);

/** What stands between tags, fill-ins and addresses: the only thing that is translated. */
const KEPT = /<[^>]*>|\{\w+\}|https?:\/\/\S+|\S+@\S+/g;

/**
 * A stand-in for a service that drafts translations, and no more than that: earlier translations first, then the glossary and
 * a small dictionary, word by word. What it does not know stays as it is. Nobody is to publish it unseen.
 */
export function draftOf(
  source: string,
  locale: string,
  memory: TranslationMemory,
  { glossary }: Pick<Languages, 'glossary'>,
): string {
  const exact = memory.exact(source);
  if (exact !== undefined) return exact;
  const [like] = memory.like(source, 1);
  const numbers = source.match(NUMBERS) ?? [];
  // What differs by its numbers alone is taken with the numbers of this text.
  if (like) {
    const theirs = like.text.match(NUMBERS) ?? [];
    const isOnlyNumbers = source.replace(NUMBERS, '#') === like.source.replace(NUMBERS, '#');
    if (isOnlyNumbers && theirs.length === numbers.length) {
      let at = 0;
      return like.text.replace(NUMBERS, () => numbers[at++]!);
    }
  }
  const terms = new Map(glossary.flatMap(({ term, as }) => (as[locale] ? [[fold(term), as[locale]]] : [])));
  const dictionary = dictionaries[languagePart(locale)] ?? {};
  let drafted = '';
  let from = 0;
  for (const kept of [...source.matchAll(KEPT), undefined]) {
    drafted += byWords(source.slice(from, kept?.index ?? source.length), terms, dictionary);
    drafted += kept?.[0] ?? '';
    from = (kept?.index ?? 0) + (kept?.[0].length ?? 0);
  }
  return drafted;
}

/** Longest term of a glossary, in words. */
const LONGEST_TERM = 4;

function byWords(
  text: string,
  terms: ReadonlyMap<string, string>,
  dictionary: Readonly<Record<string, string>>,
): string {
  const parts = text.match(/[\p{L}\p{N}’'-]+|[^\p{L}\p{N}’'-]+/gu) ?? [];
  let drafted = '';
  for (let at = 0; at < parts.length;) {
    let taken = 0;
    for (let length = Math.min(2 * LONGEST_TERM - 1, parts.length - at); length > 0 && taken === 0; length -= 1) {
      const said = terms.get(fold(parts.slice(at, at + length).join('')));
      if (said === undefined) continue;
      drafted += said;
      taken = length;
    }
    if (taken === 0) {
      const word = parts[at]!;
      const said = dictionary[fold(word)];
      drafted += said === undefined ? word : isCapital(word) ? capital(said) : said;
      taken = 1;
    }
    at += taken;
  }
  return drafted;
}
