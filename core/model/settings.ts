import { z } from 'zod';
import { lookSchema, usualLook } from './look';
import { synonymLineSchema } from './synonyms';

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
  look: lookSchema.default(usualLook),
  /** groups of words and short phrases that mean the same to whoever searches */
  synonyms: z.array(synonymLineSchema).max(300, 'At most 300 lines.').default([]),
});
export type Settings = z.infer<typeof settingsSchema>;

/** What settings are called inside a sentence: "the time zone was changed". */
export const settingsWords: Readonly<Record<keyof Settings, string>> = {
  name: 'name',
  tagline: 'sentence about the shop',
  currency: 'currency',
  taxRate: 'tax rate',
  reducedTaxRate: 'reduced tax rate',
  taxIncluded: 'choice of prices with tax',
  timeZone: 'time zone',
  locale: 'language',
  look: 'look',
  synonyms: 'list of words that mean the same',
};

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
  look: usualLook,
  synonyms: [],
};

/** Settings as they were stored, with what has come since; what was stored and can be nothing is as it is to begin with. */
export function settingsOf(stored: Partial<Settings>): Settings {
  const settings = { ...emptySettings, ...stored };
  return {
    ...settings,
    look: { ...usualLook, ...settings.look, colours: { ...usualLook.colours, ...settings.look.colours } },
    locale: isLocale(settings.locale) ? settings.locale : emptySettings.locale,
    timeZone: isTimeZone(settings.timeZone) ? settings.timeZone : emptySettings.timeZone,
  };
}

/** Settings as an edition holds them: a look that is as usual is left out, so that their text stays as it was before there were looks. */
export function leanSettings({ look, ...settings }: Settings): Partial<Settings> {
  return JSON.stringify(look) === JSON.stringify(usualLook) ? settings : { ...settings, look };
}
