import { z } from 'zod';
import { localeSchema } from '../core/model/languages';
import { textStates, wordedKinds } from '../core/model/wording';
import { route } from './route';

const whole = z.number().int();
const kind = z.enum(wordedKinds);
const textStateSchema = z.enum(textStates);

const counts = z.record(textStateSchema, whole);
export type StateCounts = z.infer<typeof counts>;

const languageRow = z.object({
  locale: z.string(),
  name: z.string(),
  isOn: z.boolean(),
  untranslated: z.enum(['show', 'hide']),
  /** its fixed words are there without anybody translating them */
  isShipped: z.boolean(),
  /** of each sort of thing, by its kind */
  counts: z.record(kind, counts),
});
export type LanguageRow = z.infer<typeof languageRow>;

const thing = z.object({ kind, id: z.string(), name: z.string(), counts });

const unit = z.object({
  path: z.string(),
  /** what the text is called */
  words: z.string(),
  form: z.enum(['plain', 'html', 'address']),
  optional: z.boolean(),
  /** most letters that fit; null where any number does */
  most: whole.nullable(),
  source: z.string(),
  /** the text that the translation was made from, where that was another one */
  madeFrom: z.string().nullable(),
  done: z.string().nullable(),
  draft: z.string().nullable(),
  state: textStateSchema,
});
export type TranslatedUnit = z.infer<typeof unit>;

const place = z.object({ kind, id: z.string(), path: z.string() });
export type TextPlace = z.infer<typeof place>;

const savedText = place.extend({
  /** null takes the translation away */
  text: z.string().max(200_000, 'This text is too long.').nullable(),
  /** the text that was in front of whoever translated */
  source: z.string().max(200_000),
  /** the translation that stood there when this began to be typed over it; refused where it is another by now */
  was: z.string().max(200_000).nullable().optional(),
});

const states = z
  .string()
  .transform((list) => list.split(',').filter(Boolean))
  .pipe(z.array(textStateSchema));

const broughtText = place.extend({
  name: z.string(),
  words: z.string(),
  source: z.string(),
  before: z.string().nullable(),
  after: z.string(),
  what: z.enum(['new', 'changed', 'same', 'refused']),
  /** why it is refused, or what to look at */
  notes: z.array(z.string()),
});
export type BroughtText = z.infer<typeof broughtText>;

const ok = z.object({ ok: z.literal(true) });

export const languageRoutes = {
  overview: route({
    method: 'GET',
    path: '/api/languages',
    summary: 'Languages of the shop, with how much of it is translated',
    answer: z.object({ main: z.object({ locale: z.string(), name: z.string() }), languages: z.array(languageRow) }),
  }),
  things: route({
    method: 'GET',
    path: '/api/languages/:locale/things',
    summary: 'Things of the shop with how much of each is translated',
    query: z.object({
      kind: kind.optional(),
      /** only those with texts in one of these states */
      states: states.optional(),
      q: z.string().max(200).optional(),
      offset: z.coerce.number().int().min(0).max(1_000_000).optional(),
    }),
    answer: z.object({ total: whole, things: z.array(thing) }),
  }),
  texts: route({
    method: 'GET',
    path: '/api/languages/:locale/texts',
    summary: 'The texts of a thing in a language',
    query: z.object({ kind, id: z.string().max(200) }),
    answer: z.object({
      kind,
      id: z.string(),
      name: z.string(),
      units: z.array(unit),
      /** where the shop window shows it in this language; null where it has no page of its own */
      address: z.string().nullable(),
    }),
  }),
  matches: route({
    method: 'POST',
    path: '/api/languages/:locale/matches',
    summary: 'Earlier translations of the same or similar texts',
    translates: true,
    body: z.object({ text: z.string().max(200_000) }),
    waits: false,
    answer: z.object({
      matches: z.array(
        z.object({
          source: z.string(),
          text: z.string(),
          /** 1 for the same text */
          likeness: z.number(),
          /** how its source differs from this text, as words */
          difference: z.array(z.object({ words: z.string(), in: z.enum(['both', 'before', 'after']) })),
        }),
      ),
    }),
  }),
  next: route({
    method: 'GET',
    path: '/api/languages/:locale/next',
    summary: 'The next text that is in one of some states, behind a place',
    query: z.object({
      kind: kind.optional(),
      id: z.string().max(200).optional(),
      path: z.string().max(400).optional(),
      states,
      /** only within this sort of thing */
      of: kind.optional(),
    }),
    answer: z.object({ place: place.nullable() }),
  }),
  save: route({
    method: 'PUT',
    path: '/api/languages/:locale/texts',
    summary: 'Keep translations',
    translates: true,
    body: z.object({ texts: z.array(savedText).min(1).max(2_000) }),
    answer: z.object({ ok: z.literal(true), kept: whole }),
  }),
  draft: route({
    method: 'POST',
    path: '/api/languages/:locale/drafts',
    summary: 'Let the simulated helper draft what is missing',
    translates: true,
    body: z.object({ kind: kind.optional(), id: z.string().max(200).optional() }),
    answer: z.object({ drafted: whole }),
  }),
  dropDrafts: route({
    method: 'DELETE',
    path: '/api/languages/:locale/drafts',
    summary: 'Drop all drafts of a language',
    translates: true,
    answer: z.object({ dropped: whole }),
  }),
  bring: route({
    method: 'POST',
    path: '/api/languages/:locale/brought',
    summary: 'What a file of translations, XLIFF or CSV, would change',
    translates: true,
    waits: false,
    body: z.object({ name: z.string().max(300), text: z.string().max(4_000_000, 'This file is too large.') }),
    answer: z.object({ token: z.string(), texts: z.array(broughtText) }),
  }),
  take: route({
    method: 'POST',
    path: '/api/languages/:locale/taken',
    summary: 'Take over what a file brought',
    translates: true,
    body: z.object({ token: z.string().max(60), without: z.array(whole).max(50_000) }),
    answer: z.object({ ok: z.literal(true), kept: whole }),
  }),
  add: route({
    method: 'POST',
    path: '/api/languages',
    summary: 'Add a language',
    body: z.object({ locale: localeSchema }),
    answer: ok,
  }),
  change: route({
    method: 'PATCH',
    path: '/api/languages/:locale',
    summary: 'Put a language on the shop or take it off',
    body: z.object({ isOn: z.boolean(), untranslated: z.enum(['show', 'hide']) }).partial(),
    answer: ok,
  }),
  remove: route({
    method: 'DELETE',
    path: '/api/languages/:locale',
    summary: 'Take a language away, with all that was translated into it',
    answer: z.object({ dropped: whole }),
  }),
};
