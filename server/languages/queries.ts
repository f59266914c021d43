import type { languageRoutes, StateCounts, TranslatedUnit } from '../../contract/languages';
import type { AnswerOf, QueryOf } from '../../contract/route';
import { isShipped } from '../../core/languages/fixed/fixed-words';
import { TranslationMemory } from '../../core/languages/memory';
import { wordDifference } from '../../core/languages/word-difference';
import { addressedKinds, type AddressedKind } from '../../core/model/document';
import { languageName, type ShopLanguage } from '../../core/model/languages';
import { wordedKinds, type TextState, type WordedKind } from '../../core/model/wording';
import { fold } from '../../core/shared/fold';
import { addressPath } from '../../core/shop/open-groups';
import type { Shop } from '../../core/shop/shop';
import { countsIn, countStates, unitsOf, type TranslationUnit } from '../../core/shop/translation-units';
import { wordedIds, wordedName } from '../../core/shop/worded-things';
import { notFound } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { readTexts, readTextsOf } from '../store/wordings';

/** Things that are told at once. */
const PAGE = 60;

/** A language of the working copy. Throws where the shop has none of this name. */
export function languageOrRefuse({ working }: Catalog, locale: string): ShopLanguage {
  const found = working.shop.settings.languages.others.find((each) => each.locale === locale);
  if (!found) throw notFound(refusals.noSuchLanguage);
  return found;
}

export function overviewAnswer({ working: { shop } }: Catalog): AnswerOf<typeof languageRoutes.overview> {
  const { locale, languages } = shop.settings;
  return {
    main: { locale, name: languageName(locale, 'en') },
    languages: languages.others.map((language) => ({
      locale: language.locale,
      name: languageName(language.locale, 'en'),
      isOn: language.isOn,
      untranslated: language.untranslated,
      isShipped: isShipped(language.locale),
      counts: countsIn(shop, language.locale),
    })),
  };
}

const hasAny = (counts: StateCounts, states: readonly TextState[] | undefined) =>
  states === undefined || states.some((state) => counts[state] > 0);

export function thingsAnswer(
  { working: { shop } }: Catalog,
  locale: string,
  { kind, states, q = '', offset = 0 }: QueryOf<typeof languageRoutes.things>,
): AnswerOf<typeof languageRoutes.things> {
  const wanted = fold(q.trim());
  const things = (kind ? [kind] : wordedKinds).flatMap((of) =>
    wordedIds(shop, of).flatMap((id) => {
      const name = wordedName(shop, of, id);
      if (wanted !== '' && !fold(name).includes(wanted)) return [];
      const counts = countStates(unitsOf(shop, locale, of, id));
      const isWorded = Object.values(counts).some((count) => count > 0);
      return isWorded && hasAny(counts, states) ? [{ kind: of, id, name, counts }] : [];
    }),
  );
  return { total: things.length, things: things.slice(offset, offset + PAGE) };
}

/** Where the shop window shows a thing; null for what has no page of its own. */
function addressOf(shop: Shop, kind: WordedKind, id: string): string | null {
  if (!(addressedKinds as readonly string[]).includes(kind)) return '/';
  const maps = {
    product: shop.products,
    category: shop.categories,
    collection: shop.collections,
    brand: shop.brands,
    tag: shop.tags,
    page: shop.pages,
  };
  const thing = maps[kind as AddressedKind].get(id);
  if (!thing) return null;
  if ('home' in thing && thing.home) return '/';
  return `/${addressPath[kind as AddressedKind]}/${thing.slug}`;
}

export function textsAnswer(
  { db, working: { shop } }: Catalog,
  locale: string,
  { kind, id }: QueryOf<typeof languageRoutes.texts>,
): AnswerOf<typeof languageRoutes.texts> {
  const units = unitsOf(shop, locale, kind, id);
  if (units.length === 0 && !wordedIds(shop, kind).includes(id)) throw notFound(refusals.nothingHere);
  const sources = new Map(readTextsOf(db, 'wording', { locale, kind, id }).map(({ text, source }) => [text, source]));
  return {
    kind,
    id,
    name: wordedName(shop, kind, id),
    units: units.map((unit) => unitAnswer(unit, sources)),
    address: addressOf(shop.inLanguage(locale, true), kind, id),
  };
}

function unitAnswer(
  { path, mark, text, state, done, draft }: TranslationUnit,
  sources: ReadonlyMap<string, string>,
): TranslatedUnit {
  return {
    path,
    words: mark.words,
    form: mark.form ?? 'plain',
    optional: mark.optional ?? false,
    most: mark.most ?? null,
    source: text,
    madeFrom: state === 'changed' && done !== null ? (sources.get(done) ?? null) : null,
    done,
    draft,
    state,
  };
}

interface Remembered {
  latest: number;
  memory: TranslationMemory;
}
const memories = new WeakMap<Catalog, Map<string, Remembered>>();

/** All that was translated into a language, as it is now. */
export function memoryOf(catalog: Catalog, locale: string): TranslationMemory {
  let known = memories.get(catalog);
  if (!known) memories.set(catalog, (known = new Map()));
  const { latest } = catalog.journal;
  let remembered = known.get(locale);
  if (remembered?.latest !== latest) {
    const texts = readTexts(catalog.db, 'wording').filter((text) => text.locale === locale && text.path !== 'slug');
    known.set(locale, (remembered = { latest, memory: new TranslationMemory(texts) }));
  }
  return remembered.memory;
}

export function matchesAnswer(catalog: Catalog, locale: string, text: string): AnswerOf<typeof languageRoutes.matches> {
  return {
    matches: memoryOf(catalog, locale)
      .like(text)
      .map((match) => ({ ...match, difference: wordDifference(match.source, text) })),
  };
}

/** The next text in one of some states behind a place, once around. */
export function nextAnswer(
  { working: { shop } }: Catalog,
  locale: string,
  { kind, id, path, states, of }: QueryOf<typeof languageRoutes.next>,
): AnswerOf<typeof languageRoutes.next> {
  const things = (of ? [of] : wordedKinds).flatMap((each) =>
    wordedIds(shop, each).map((at) => ({ kind: each, id: at })),
  );
  const start = Math.max(
    0,
    things.findIndex((each) => each.kind === kind && each.id === id),
  );
  for (let step = 0; step <= things.length; step++) {
    const thing = things[(start + step) % things.length];
    if (!thing) break;
    const units = unitsOf(shop, locale, thing.kind, thing.id);
    const isHere = thing.kind === kind && thing.id === id;
    const from = isHere && step === 0 ? units.findIndex((unit) => unit.path === path) + 1 : 0;
    const until = isHere && step > 0 ? units.findIndex((unit) => unit.path === path) + 1 : units.length;
    const found = units.slice(from, until).find(({ state }) => states.includes(state));
    if (found) return { place: { ...thing, path: found.path } };
  }
  return { place: null };
}
