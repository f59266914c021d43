import { shippedWords } from '../languages/fixed/fixed-words';
import { textHash } from '../languages/text-hash';
import type { FoundText } from '../languages/text-plan';
import { textsOf, translationFinder } from '../languages/worded';
import { wordedKinds, wordingKey, type TextState, type WordedKind, type Wording } from '../model/wording';
import { cachedByVersion } from './cached-by-version';
import type { Shop } from './shop';
import { wordedBody, wordedIds } from './worded-things';

/** A text that can be translated, and what it is in a language. */
export interface TranslationUnit extends FoundText {
  state: TextState;
  /** as shoppers meet it; null while there is none */
  done: string | null;
  draft: string | null;
}

interface SourceText extends FoundText {
  hash: string;
}

/** Texts of a document, as long as it is that document: most of them stay for long. */
const known = new WeakMap<object, readonly SourceText[]>();

function sourcesOf(kind: WordedKind, body: object): readonly SourceText[] {
  let found = known.get(body);
  if (!found) {
    found = textsOf(kind, body).map((text) => ({ ...text, hash: textHash(text.text) }));
    known.set(body, found);
  }
  return found;
}

const NONE: Wording['texts'] = {};

function unitOf(
  source: SourceText,
  done: { text: string; of: string } | undefined,
  draft: string | null,
): TranslationUnit {
  const { hash, ...found } = source;
  const state = (): TextState => {
    if (draft !== null) return 'draft';
    if (!done) return found.mark.optional ? 'same' : 'missing';
    return done.of === hash ? 'done' : 'changed';
  };
  return { ...found, state: state(), done: done?.text ?? null, draft };
}

/** The texts of a thing in a language, in the order in which they stand in it; none where the thing is gone. O(texts). */
export function unitsOf(shop: Shop, locale: string, kind: WordedKind, id: string): TranslationUnit[] {
  const body = wordedBody(shop, kind, id, locale);
  if (!body) return [];
  const key = wordingKey({ locale, kind, id });
  const { main } = shop;
  const find = translationFinder(main.wordings.get(key)?.texts ?? NONE);
  const findDraft = translationFinder(main.wordingDrafts.get(key)?.texts ?? NONE);
  const shipped = kind === 'words' ? shippedWords(locale) : undefined;
  return sourcesOf(kind, body).map((source) => {
    const own = find(source.path, source.text);
    const there = shipped?.[source.path];
    const done = own ?? (there === undefined ? undefined : { text: there, of: source.hash });
    return unitOf(source, done, findDraft(source.path, source.text)?.text ?? null);
  });
}

export type StateCounts = Record<TextState, number>;

const noCounts = (): StateCounts => ({ missing: 0, draft: 0, changed: 0, same: 0, done: 0 });

export function countStates(units: readonly TranslationUnit[]): StateCounts {
  const counts = noCounts();
  for (const { state } of units) counts[state]++;
  return counts;
}

/** What is translated of everything, by language and sort of thing. O(texts) after a change of the shop. */
const countsOf = cachedByVersion(() => new Map<string, Record<WordedKind, StateCounts>>());

export function countsIn(shop: Shop, locale: string): Record<WordedKind, StateCounts> {
  const all = countsOf(shop.main);
  let counts = all.get(locale);
  if (!counts) {
    counts = Object.fromEntries(
      wordedKinds.map((kind) => {
        const sum = noCounts();
        for (const id of wordedIds(shop, kind)) for (const { state } of unitsOf(shop, locale, kind, id)) sum[state]++;
        return [kind, sum];
      }),
    ) as Record<WordedKind, StateCounts>;
    all.set(locale, counts);
  }
  return counts;
}

/** Calls `visit` with every text of the shop in a language, thing by thing. */
export function eachUnit(
  shop: Shop,
  locale: string,
  visit: (unit: TranslationUnit, kind: WordedKind, id: string) => void,
  kinds: readonly WordedKind[] = wordedKinds,
): void {
  for (const kind of kinds)
    for (const id of wordedIds(shop, kind)) for (const unit of unitsOf(shop, locale, kind, id)) visit(unit, kind, id);
}
