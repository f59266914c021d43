import { z } from 'zod';
import { idSchema, slugSchema } from '../catalog/identity';
import type { taxClasses } from '../catalog/product';

/** Something of the shop that a link can lead to. */
export const targetSchema = z.object({
  kind: z.enum(['category', 'collection', 'brand', 'tag', 'page']),
  id: idSchema,
});
export type Target = z.infer<typeof targetSchema>;

const sectionTitle = z.string().trim().max(120, 'A title can have at most 120 characters.');

export const MAX_STRIP = 24;

export const sectionBodySchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('banner'),
    title: sectionTitle.min(1, 'A banner needs a title.'),
    text: z.string().trim().max(400, 'A banner can have at most 400 characters.'),
    link: targetSchema.nullable(),
  }),
  z.object({
    kind: z.literal('strip'),
    /** empty: the name of what it shows */
    title: sectionTitle,
    source: z.object({ kind: z.enum(['category', 'collection', 'brand', 'tag']), id: idSchema }).nullable(),
    count: z
      .number({ error: 'Type how many goods to show.' })
      .int('Type a whole number.')
      .min(1, 'A strip shows at least one product.')
      .max(MAX_STRIP, `A strip shows at most ${MAX_STRIP} products.`),
  }),
  z.object({
    kind: z.literal('tiles'),
    title: sectionTitle,
    categoryIds: z.array(idSchema).max(24, 'At most 24 tiles.'),
  }),
]);
export type SectionBody = z.infer<typeof sectionBodySchema>;

export type Section = SectionBody & { id: string };

export const pageSchema = z.object({
  id: idSchema,
  title: z.string(),
  slug: slugSchema,
  /** the home page stands at "/" and cannot be deleted */
  home: z.boolean(),
  sections: z.array(z.intersection(sectionBodySchema, z.object({ id: idSchema }))),
});
export type Page = z.infer<typeof pageSchema>;

export const menuItemSchema = z.object({ id: idSchema, label: z.string(), target: targetSchema });
export type MenuItem = z.infer<typeof menuItemSchema>;

/** The header menu: items, each with at most one level of items below it. */
export const menuSchema = z.object({
  items: z.array(menuItemSchema.extend({ items: z.array(menuItemSchema) })),
});
export type Menu = z.infer<typeof menuSchema>;

const taxRateSchema = z
  .number({ error: 'Type a percentage.' })
  .int('At most two decimals.')
  .min(0, 'A tax rate cannot be below zero.')
  .max(10_000, 'At most 100 %.');

function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** Is this a language that amounts and days can be written in? */
function isLocale(name: string): boolean {
  try {
    return Intl.getCanonicalLocales(name).length === 1 && name.length <= 35;
  } catch {
    return false;
  }
}

export const currencies = ['EUR', 'USD', 'GBP', 'CHF', 'SEK', 'DKK', 'NOK', 'PLN', 'CZK', 'AUD', 'CAD', 'NZD'] as const;

export const settingsSchema = z.object({
  name: z.string().trim().min(1, 'The shop needs a name.').max(80, 'A name can have at most 80 characters.'),
  tagline: z.string().trim().max(160, 'At most 160 characters.'),
  currency: z.enum(currencies, 'Choose a currency.'),
  /** basis points */
  taxRate: taxRateSchema,
  /** basis points, of the goods of the class "reduced" */
  reducedTaxRate: taxRateSchema,
  taxIncluded: z.boolean(),
  timeZone: z.string().refine(isTimeZone, 'There is no such time zone.'),
  locale: z.string().refine(isLocale, 'There is no such language.'),
  /** groups of words and short phrases that mean the same to whoever searches */
  synonyms: z
    .array(z.array(z.string().trim().min(1).max(60, 'At most 60 characters.')).max(20, 'At most 20 words in one line.'))
    .max(300, 'At most 300 lines.')
    .default([]),
});
export type Settings = z.infer<typeof settingsSchema>;

/** Of a shop that was not set up yet. */
export const emptySettings: Settings = {
  name: 'My shop',
  tagline: '',
  currency: 'EUR',
  taxRate: 2100,
  reducedTaxRate: 900,
  taxIncluded: true,
  timeZone: 'Europe/Amsterdam',
  locale: 'en',
  synonyms: [],
};

/** Settings as they were stored, with what has come since; what was stored and can be nothing is as it is to begin with. */
export function settingsOf(stored: Partial<Settings>): Settings {
  const settings = { ...emptySettings, ...stored };
  return {
    ...settings,
    locale: isLocale(settings.locale) ? settings.locale : emptySettings.locale,
    timeZone: isTimeZone(settings.timeZone) ? settings.timeZone : emptySettings.timeZone,
  };
}

/** Tax rate of a class in basis points. */
export function taxRateOf(
  settings: Pick<Settings, 'taxRate' | 'reducedTaxRate'>,
  taxClass: (typeof taxClasses)[number],
): number {
  return { standard: settings.taxRate, reduced: settings.reducedTaxRate, zero: 0 }[taxClass];
}
