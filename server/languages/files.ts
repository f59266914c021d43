import { randomBytes } from 'node:crypto';
import { parse as parseCsv } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import type { BroughtText, languageRoutes } from '../../contract/languages';
import type { AnswerOf, BodyOf } from '../../contract/route';
import { translationProblems } from '../../core/languages/checks';
import { readXliff, writeXliff, type SegmentState } from '../../core/languages/xliff';
import { languageName } from '../../core/model/languages';
import { wordedKinds, type TextState, type WordedKind } from '../../core/model/wording';
import { eachUnit, unitsOf, type TranslationUnit } from '../../core/shop/translation-units';
import { wordedName } from '../../core/shop/worded-things';
import { neutralText, unmarkedText } from '../../core/shared/neutral-text';
import { invalidField } from '../shared/problem';
import { refusals } from '../shared/refusals';
import type { Catalog } from '../state/catalog';
import { saveTexts } from './commands';

const stateOf: Readonly<Record<TextState, SegmentState>> = {
  missing: 'initial',
  same: 'initial',
  draft: 'translated',
  changed: 'translated',
  done: 'final',
};

const heads = ['Kind', 'Id', 'Path', 'What', 'Original', 'Translation', 'State'] as const;

interface Written {
  name: string;
  type: string;
  text: string;
}

/** The texts of a language as a file, those in some states or all. A draft stands in for a translation that is missing. */
export function translationFile(catalog: Catalog, locale: string, query: Record<string, unknown>): Written {
  const { shop } = catalog.working;
  const wanted = typeof query.states === 'string' && query.states !== '' ? query.states.split(',') : undefined;
  const kinds = wordedKinds.filter(
    (kind) => typeof query.kind !== 'string' || query.kind === '' || query.kind === kind,
  );
  const found: { kind: WordedKind; id: string; unit: TranslationUnit }[] = [];
  eachUnit(
    shop,
    locale,
    (unit, kind, id) => {
      if (!wanted || wanted.includes(unit.state)) found.push({ kind, id, unit });
    },
    kinds,
  );
  if (query.format === 'csv') {
    const rows = found.map(({ kind, id, unit }) =>
      [kind, id, unit.path, unit.mark.words, unit.text, unit.done ?? unit.draft ?? '', unit.state].map(neutralText),
    );
    return {
      name: `words-${locale}.csv`,
      type: 'text/csv; charset=utf-8',
      text: `\ufeff${stringify([heads, ...rows])}`,
    };
  }
  const files = new Map<string, { original: string; name: string; units: TranslationUnit[] }>();
  for (const { kind, id, unit } of found) {
    const original = `${kind}/${id}`;
    const file = files.get(original);
    if (file) file.units.push(unit);
    else files.set(original, { original, name: wordedName(shop, kind, id), units: [unit] });
  }
  const text = writeXliff({
    srcLang: shop.settings.locale,
    trgLang: locale,
    files: [...files.values()].map(({ units, ...file }) => ({
      ...file,
      units: units.map(({ path, mark, text: source, done, draft, state }) => ({
        path,
        note: mark.most === undefined ? mark.words : `${mark.words}, at most ${mark.most} characters`,
        source,
        target: done ?? draft,
        state: stateOf[state],
      })),
    })),
  });
  return { name: `words-${locale}.xlf`, type: 'application/xliff+xml; charset=utf-8', text };
}

interface Brought {
  kind: string;
  id: string;
  path: string;
  source: string;
  text: string;
}

/** What a file says; undefined where it is neither of the two. */
function readFile(text: string, name: string, locale: string): Brought[] | undefined {
  const xliff = readXliff(text);
  if (xliff) {
    if (xliff.trgLang.toLowerCase() !== locale)
      throw invalidField(['text'], refusals.otherLanguage(xliff.trgLang || 'no language', languageName(locale, 'en')));
    return xliff.files.flatMap(({ original, units }) => {
      const [kind = '', ...rest] = original.split('/');
      return units.flatMap(({ path, source, target }) =>
        target === null || target.trim() === '' ? [] : [{ kind, id: rest.join('/'), path, source, text: target }],
      );
    });
  }
  if (/\.xlf|\.xliff/i.test(name) || text.trimStart().startsWith('<')) return undefined;
  let rows: Record<string, string>[];
  try {
    rows = parseCsv(text, {
      bom: true,
      columns: true,
      delimiter: [',', ';', '\t'],
      relax_column_count: true,
      skip_empty_lines: true,
    });
  } catch {
    return undefined;
  }
  if (rows.length > 0 && !['Kind', 'Id', 'Path', 'Translation'].every((head) => head in rows[0]!)) return undefined;
  const plain = (cell = '') => unmarkedText(cell);
  return rows.flatMap(({ Kind = '', Id = '', Path = '', Original, Translation }) =>
    plain(Translation).trim() === ''
      ? []
      : [{ kind: Kind, id: plain(Id), path: plain(Path), source: plain(Original), text: plain(Translation) }],
  );
}

/** Files that were brought and not taken yet, for a while. */
const brought = new Map<string, { locale: string; at: number; texts: BroughtText[] }>();
const KEPT_MS = 60 * 60_000;

function compared(catalog: Catalog, locale: string, one: Brought): BroughtText {
  const { shop } = catalog.working;
  const kind = wordedKinds.find((each) => each === one.kind);
  const unit = kind && unitsOf(shop, locale, kind, one.id).find(({ path }) => path === one.path);
  const place = { kind: kind ?? 'product', id: one.id, path: one.path };
  if (!kind || !unit)
    return {
      ...place,
      name: one.id,
      words: one.path,
      source: one.source,
      before: null,
      after: one.text,
      what: 'refused',
      notes: [refusals.textGone],
    };
  const isOld = one.source !== '' && one.source !== unit.text;
  const problems = translationProblems(
    { source: unit.text, text: one.text, locale, most: unit.mark.most },
    shop.settings.languages,
  );
  const isTooLong = problems.some(({ about }) => about === 'length');
  return {
    ...place,
    name: wordedName(shop, kind, one.id),
    words: unit.mark.words,
    source: unit.text,
    before: unit.done,
    after: one.text,
    what: isTooLong ? 'refused' : unit.done === null ? 'new' : unit.done === one.text ? 'same' : 'changed',
    notes: [
      ...(isOld ? ['The original has changed since this file was made.'] : []),
      ...problems.map(({ words }) => words),
    ],
  };
}

/** What a file would change, text by text. Nothing is kept yet. */
export function bringFile(
  catalog: Catalog,
  locale: string,
  { name, text }: BodyOf<typeof languageRoutes.bring>,
): AnswerOf<typeof languageRoutes.bring> {
  const read = readFile(text, name, locale);
  if (!read) throw invalidField(['text'], refusals.noTranslations);
  const texts = read.map((one) => compared(catalog, locale, one));
  const now = Date.now();
  for (const [token, { at }] of brought) if (now - at > KEPT_MS) brought.delete(token);
  const token = randomBytes(12).toString('base64url');
  brought.set(token, { locale, at: now, texts });
  return { token, texts };
}

/** Takes over what a file brought, but what is named by its place in the answer, as one change. */
export function takeBrought(
  catalog: Catalog,
  user: string,
  locale: string,
  { token, without }: BodyOf<typeof languageRoutes.take>,
): number {
  const found = brought.get(token);
  if (found?.locale !== locale) throw invalidField(['token'], refusals.broughtGone);
  const left = new Set(without);
  const texts = found.texts.flatMap(({ kind, id, path, source, after, what }, i) =>
    left.has(i) || what === 'refused' || what === 'same' ? [] : [{ kind, id, path, text: after, source }],
  );
  const kept = texts.length === 0 ? 0 : saveTexts(catalog, user, locale, texts);
  brought.delete(token);
  return kept;
}
