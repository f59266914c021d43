import type { languageRoutes } from '../../contract/languages';
import type { BodyOf } from '../../contract/route';
import { draftOf } from '../../core/languages/drafting';
import { addressedKinds, type AddressedKind } from '../../core/model/document';
import { languageName, type Languages } from '../../core/model/languages';
import { wordedKinds, wordingKey, type WordedKind } from '../../core/model/wording';
import { slugSchema } from '../../core/shared/identity';
import { slugFrom } from '../../core/shared/slug';
import { addressPath } from '../../core/shop/open-groups';
import { unitsOf, type TranslationUnit } from '../../core/shop/translation-units';
import { slugOfName, takenSlugs } from '../../core/shop/translated-slugs';
import { wordedIds, wordedName } from '../../core/shop/worded-things';
import { parse } from '../http/answer';
import type { FieldError } from '../../contract/problem';
import { clash, invalid, invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import { cleanRichText } from '../shared/rich-text';
import type { Catalog } from '../state/catalog';
import { dropForward, putForward } from '../store/forwards';
import { writeSettings } from '../store/pages';
import { dropText, keepText, putText, readTexts } from '../store/wordings';
import { languageOrRefuse, memoryOf } from './queries';

type Saved = BodyOf<typeof languageRoutes.save>['texts'][number];

/** A text that is kept, or taken away where it is null. */
interface Write extends Omit<Saved, 'text'> {
  unit: TranslationUnit | undefined;
  text: string | null;
}

const isAddressed = (kind: WordedKind): kind is AddressedKind & WordedKind =>
  (addressedKinds as readonly string[]).includes(kind);

/** What was typed, as it is stored: without spaces around it, and as HTML only with what is allowed. */
function stored(unit: TranslationUnit, typed: string | null | undefined): string | null {
  const text = typed?.trim() ?? '';
  if (text === '') return null;
  return unit.mark.form === 'html' ? cleanRichText(text) : text;
}

/** What is typed, as it is stored. Throws what is wrong with it. */
function asStored(catalog: Catalog, locale: string, { kind, id, path, text, unit }: Write): string | null {
  const typed = unit ? stored(unit, text) : null;
  if (typed === null) return null;
  if (unit?.mark.form === 'address' && isAddressed(kind)) {
    const slug = parse(slugSchema, typed);
    if (takenSlugs(catalog.working.shop, locale, kind, id).has(slug))
      throw invalidField([path], refusals.takenAddress(kind));
    return slug;
  }
  const most = unit?.mark.most;
  if (most !== undefined && typed.length > most) throw invalidField([path], refusals.atMostLetters(most));
  return typed;
}

/** Whether shoppers have met an address of a thing in a language. */
const isSeen = ({ live }: Catalog, locale: string, kind: WordedKind, id: string): boolean =>
  live.shop.wordings.get(wordingKey({ locale, kind, id }))?.texts.slug !== undefined;

/**
 * The address that follows from a new name: where the thing has none in this language yet, or one that followed from the name
 * before, which nobody has met. So a name that is saved while it is typed gives no address of half of it.
 */
function madeSlug(
  catalog: Catalog,
  locale: string,
  { kind, id, text, unit }: Write,
  units: readonly TranslationUnit[],
): { slug: string | null; source: string } | undefined {
  const isName = unit !== undefined && (unit.path === 'title' || unit.path === 'name');
  const own = units.find(({ path }) => path === 'slug');
  if (!isAddressed(kind) || !isName || text === null || !own) return undefined;
  const isOfName = own.done?.replace(/-\d+$/, '') === slugFrom(unit.done ?? '', own.text, locale);
  if (own.done !== null && (!isOfName || isSeen(catalog, locale, kind, id))) return undefined;
  const taken = takenSlugs(catalog.working.shop, locale, kind, id);
  return { slug: slugOfName(text, locale, own.text, taken) ?? null, source: own.text };
}

/** An address that shoppers may have kept leads to where the thing is now. */
function forwardOld(
  { db }: Catalog,
  locale: string,
  kind: AddressedKind,
  id: string,
  old: string,
  next: string | null,
): void {
  const path = (slug: string) => `/${locale}/${addressPath[kind]}/${slug}`;
  if (next !== null) dropForward(db, path(next));
  putForward(db, { path: path(old), to: { kind, id }, by: 'renamed' });
}

/** Refuses where somebody else translated the same text since it was begun to be typed over. */
function refuseClashes(
  texts: readonly Saved[],
  unitsAt: (kind: WordedKind, id: string) => readonly TranslationUnit[],
): void {
  const clashes = texts.flatMap(({ kind, id, path, text, was }, i) => {
    const unit = was === undefined ? undefined : unitsAt(kind, id).find((each) => each.path === path);
    if (!unit || [stored(unit, was), stored(unit, text)].includes(unit.done)) return [];
    const message = refusals.fieldChangedMeanwhile(unit.mark.words);
    return [{ path: ['texts', i, 'text'], theirs: unit.done ?? '', message }];
  });
  if (clashes.length > 0) throw clash(clashes);
}

/**
 * Keeps translations as one change. What shoppers meet of a text is replaced, and its draft goes; a name gives its thing an
 * address, and an address that changes forwards. Answers how many were kept.
 */
export function saveTexts(catalog: Catalog, user: string, locale: string, texts: readonly Saved[]): number {
  languageOrRefuse(catalog, locale);
  const { db, working } = catalog;
  const { shop } = working;
  const units = new Map<string, readonly TranslationUnit[]>();
  const unitsAt = (kind: WordedKind, id: string) => {
    const key = `${kind}/${id}`;
    if (!units.has(key)) units.set(key, unitsOf(shop, locale, kind, id));
    return units.get(key)!;
  };
  refuseClashes(texts, unitsAt);
  const errors: FieldError[] = [];
  const writes = texts.flatMap((saved, i): Write[] => {
    const unit = unitsAt(saved.kind, saved.id).find(({ path }) => path === saved.path);
    const write = { ...saved, unit };
    try {
      if (!unit && saved.text !== null) throw invalidField([saved.path], refusals.textGone);
      return [{ ...write, text: asStored(catalog, locale, write) }];
    } catch (error) {
      const { problem } = error as { problem?: { errors?: FieldError[] } };
      if (!problem) throw error;
      errors.push({ path: ['texts', i, 'text'], message: problem.errors?.[0]?.message ?? refusals.someCannotBeSaved });
      return [];
    }
  });
  if (errors.length > 0) throw invalid(errors);
  const [first] = writes;
  const name = first ? wordedName(shop, first.kind, first.id) : '';
  const things = new Set(writes.map(({ kind, id }) => `${kind}/${id}`)).size;
  const done = { did: 'translated', language: languageName(locale, 'en'), name, count: writes.length, things } as const;
  catalog.journal.change(done, catalog.actor(user), () => {
    for (const write of writes) {
      const { kind, id, path, text, source, unit } = write;
      keepText(db, { locale, kind, targetId: id, path, text, source });
      const isOther = path === 'slug' && unit && unit.done !== null && unit.done !== text;
      if (isOther && isAddressed(kind) && isSeen(catalog, locale, kind, id))
        forwardOld(catalog, locale, kind, id, unit.done!, text);
      const made = madeSlug(catalog, locale, write, unitsAt(kind, id));
      if (made) keepText(db, { locale, kind, targetId: id, path: 'slug', text: made.slug, source: made.source });
    }
  });
  return writes.length;
}

/** Lets the simulated helper draft what is missing or was made from an older text. Answers how many drafts there are more. */
export function draftTexts(
  catalog: Catalog,
  user: string,
  locale: string,
  { kind, id }: BodyOf<typeof languageRoutes.draft>,
): number {
  languageOrRefuse(catalog, locale);
  const { db, working } = catalog;
  const { shop } = working;
  const memory = memoryOf(catalog, locale);
  const { languages } = shop.settings;
  const drafts = (kind ? [kind] : wordedKinds).flatMap((of) =>
    (id === undefined ? wordedIds(shop, of) : [id]).flatMap((targetId) =>
      unitsOf(shop, locale, of, targetId).flatMap(({ path, text, state }) => {
        if (state !== 'missing' && state !== 'changed') return [];
        return [{ locale, kind: of, targetId, path, source: text, text: draftOf(text, locale, memory, languages) }];
      }),
    ),
  );
  if (drafts.length === 0) return 0;
  const done = { did: 'translationsDrafted', language: languageName(locale, 'en'), count: drafts.length } as const;
  catalog.journal.change(done, catalog.actor(user), () => {
    for (const draft of drafts) putText(db, 'wording_draft', draft);
  });
  return drafts.length;
}

export function dropDrafts(catalog: Catalog, user: string, locale: string): number {
  const { db } = catalog;
  const drafts = readTexts(db, 'wording_draft').filter((text) => text.locale === locale);
  if (drafts.length === 0) return 0;
  const done = { did: 'draftsDropped', language: languageName(locale, 'en'), count: drafts.length } as const;
  catalog.journal.change(done, catalog.actor(user), () => {
    for (const draft of drafts) dropText(db, 'wording_draft', draft);
  });
  return drafts.length;
}

function writeLanguages(
  catalog: Catalog,
  user: string,
  languages: Languages,
  also: () => void = () => undefined,
): void {
  const { settings } = catalog.working.shop;
  catalog.journal.change({ did: 'languagesChanged' }, catalog.actor(user), () => {
    writeSettings(catalog.db, { ...settings, languages });
    also();
  });
}

export function addLanguage(catalog: Catalog, user: string, locale: string): void {
  const { languages, locale: main } = catalog.working.shop.settings;
  if (locale === main.toLowerCase() || languages.others.some((each) => each.locale === locale))
    throw invalidField(['locale'], refusals.hasLanguage);
  const added = { locale, isOn: false, untranslated: 'show' as const, synonyms: [] };
  writeLanguages(catalog, user, { ...languages, others: [...languages.others, added] });
}

export function changeLanguage(
  catalog: Catalog,
  user: string,
  locale: string,
  fields: BodyOf<typeof languageRoutes.change>,
): void {
  const language = languageOrRefuse(catalog, locale);
  const { languages } = catalog.working.shop.settings;
  const others = languages.others.map((each) => (each === language ? { ...each, ...fields } : each));
  writeLanguages(catalog, user, { ...languages, others });
}

/** Takes a language away with all that was translated into it, which undo brings back. Answers how many texts went. */
export function removeLanguage(catalog: Catalog, user: string, locale: string): number {
  const language = languageOrRefuse(catalog, locale);
  const { db, working } = catalog;
  const { languages } = working.shop.settings;
  let dropped = 0;
  writeLanguages(catalog, user, { ...languages, others: languages.others.filter((each) => each !== language) }, () => {
    for (const table of ['wording', 'wording_draft'] as const)
      for (const text of readTexts(db, table)) {
        if (text.locale !== locale) continue;
        dropText(db, table, text);
        dropped++;
      }
  });
  return dropped;
}
