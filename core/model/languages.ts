import { z } from 'zod';
import { synonymLineSchema } from './synonyms';

/** Is this a language that amounts and days can be written in? */
export function isLocale(name: string): boolean {
  try {
    return Intl.getCanonicalLocales(name).length === 1 && name.length <= 35;
  } catch {
    return false;
  }
}

/** A language beside the main one, in small letters as it stands in addresses: "de", "pt-br". */
export const localeSchema = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z]{2,3}(?:-[a-z0-9]{2,8})*$/, 'Type a language such as de or pt-br.')
  .refine(isLocale, 'There is no such language.');

const languageSchema = z.strictObject({
  locale: localeSchema,
  /** false: the seller is still at it, and shoppers do not meet it */
  isOn: z.boolean(),
  /** what shoppers of this language meet that is not translated: in the main language, or not at all */
  untranslated: z.enum(['show', 'hide']),
  /** words that mean the same in this language */
  synonyms: z.array(synonymLineSchema).max(300, 'At most 300 lines.').default([]),
});
export type ShopLanguage = z.infer<typeof languageSchema>;

export const languagesSchema = z.object({
  /** beside the main one */
  others: z
    .array(languageSchema)
    .max(30, 'At most 30 languages.')
    .refine((all) => new Set(all.map(({ locale }) => locale)).size === all.length, 'A language can stand only once.'),
  /** terms that are translated in one way only: in the main language, and in others by their locale */
  glossary: z
    .array(
      z.strictObject({
        term: z.string().trim().min(1, 'Type a term.').max(80, 'At most 80 characters.'),
        as: z.record(z.string(), z.string().trim().max(80, 'At most 80 characters.')),
      }),
    )
    .max(500, 'At most 500 terms.'),
});
export type Languages = z.infer<typeof languagesSchema>;

export const noLanguages: Languages = { others: [], glossary: [] };

/** What a language calls itself: "Deutsch". */
export const languageName = (locale: string, as = locale): string => {
  const name = new Intl.DisplayNames([as], { type: 'language' }).of(locale) ?? locale;
  return name.charAt(0).toLocaleUpperCase(as) + name.slice(1);
};
