import { z } from 'zod';
import { canonicalJson } from '../shared/canonical-json';
import { cardsSchema, usualCards } from './cards';
import { isLocale, languagesSchema, noLanguages } from './languages';
import { listingsSchema, usualListings } from './listing-layout';
import { lookSchema, usualLook } from './look';
import { productPageSchema, usualProductPage } from './product-layout';
import { contactSchema, domainSchema, noContact } from './shop-contact';
import { noNotice, noSigns, noticeSchema, signsSchema } from './signs';
import {
  noTaxSettings,
  offerSettingsSchema,
  sellingSchema,
  taxSettingsSchema,
  usualOfferSettings,
  usualSelling,
} from './selling';
import { noSearches, searchesSchema } from './searches';
import { synonymLineSchema } from './synonyms';
import { translatable } from './translatable';

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

export const currencies = ['EUR', 'USD', 'GBP', 'CHF', 'SEK', 'DKK', 'NOK', 'PLN', 'CZK', 'AUD', 'CAD', 'NZD'] as const;

/** Settings that are a small document each. Only what differs from how it is to begin with is part of an edition. */
const settingsParts = {
  look: { schema: lookSchema, usual: usualLook },
  signs: { schema: signsSchema, usual: noSigns },
  notice: { schema: noticeSchema, usual: noNotice },
  cards: { schema: cardsSchema, usual: usualCards },
  listings: { schema: listingsSchema, usual: usualListings },
  productPage: { schema: productPageSchema, usual: usualProductPage },
  contact: { schema: contactSchema, usual: noContact },
  tax: { schema: taxSettingsSchema, usual: noTaxSettings },
  offers: { schema: offerSettingsSchema, usual: usualOfferSettings },
  selling: { schema: sellingSchema, usual: usualSelling },
  languages: { schema: languagesSchema, usual: noLanguages },
  searches: { schema: searchesSchema, usual: noSearches },
} as const;
type Part = keyof typeof settingsParts;
type PartValues = { [P in Part]: z.infer<(typeof settingsParts)[P]['schema']> };
const partKeys = Object.keys(settingsParts) as Part[];

const usualParts = Object.fromEntries(partKeys.map((key) => [key, settingsParts[key].usual])) as unknown as PartValues;
const partSchemas = Object.fromEntries(
  partKeys.map((key) => [key, (settingsParts[key].schema as z.ZodType).default(usualParts[key])]),
) as unknown as { [P in Part]: z.ZodDefault<(typeof settingsParts)[P]['schema']> };

export const settingsSchema = z.object({
  name: translatable(
    z.string().trim().min(1, 'The shop needs a name.').max(80, 'A name can have at most 80 characters.'),
    'name of the shop',
    { optional: true },
  ),
  tagline: translatable(z.string().trim().max(160, 'At most 160 characters.'), 'sentence about the shop'),
  currency: z.enum(currencies, 'Choose a currency.'),
  /** basis points */
  taxRate: taxRateSchema,
  /** basis points, of the goods of the class "reduced" */
  reducedTaxRate: taxRateSchema,
  taxIncluded: z.boolean(),
  timeZone: z.string().refine(isTimeZone, 'There is no such time zone.'),
  locale: z.string().refine(isLocale, 'There is no such language.'),
  /** where the shop is to be found, such as kites.example; empty: at the address that the server was started with */
  domain: domainSchema.default(''),
  ...partSchemas,
  /** groups of words and short phrases that mean the same to whoever searches */
  synonyms: z.array(synonymLineSchema).max(300, 'At most 300 lines.').default([]),
});
export type Settings = z.infer<typeof settingsSchema>;

/** Some settings: what is not named is not touched, so nothing stands in for it. */
export const someSettingsSchema = z
  .object(
    Object.fromEntries(
      Object.entries(settingsSchema.shape).map(([key, schema]) => [
        key,
        schema instanceof z.ZodDefault ? schema.removeDefault() : schema,
      ]),
    ) as unknown as { [K in keyof Settings]: z.ZodType<Settings[K]> },
  )
  .partial();

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
  domain: 'domain',
  look: 'look',
  signs: 'logo and pictures',
  notice: 'notice',
  cards: 'cards of goods',
  listings: 'layout of listings',
  productPage: 'layout of product pages',
  contact: 'contact details',
  tax: 'tax of other countries',
  offers: 'floor and endings of offers',
  selling: 'ways of delivery and payment',
  languages: 'languages',
  searches: 'searches that lead to a page',
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
  domain: '',
  ...usualParts,
  synonyms: [],
};

/** Settings as they were stored, with what has come since; what was stored and can be nothing is as it is to begin with. */
export function settingsOf(stored: Partial<Settings>): Settings {
  const settings = { ...emptySettings, ...stored };
  const parts = partKeys.map((key) => [key, { ...usualParts[key], ...settings[key] }]);
  return {
    ...settings,
    ...(Object.fromEntries(parts) as PartValues),
    look: { ...usualLook, ...settings.look, colours: { ...usualLook.colours, ...settings.look.colours } },
    locale: isLocale(settings.locale) ? settings.locale : emptySettings.locale,
    timeZone: isTimeZone(settings.timeZone) ? settings.timeZone : emptySettings.timeZone,
  };
}

/**
 * Settings as an edition holds them: what is as usual is left out, so that their text stays as it was before there was such
 * a choice.
 */
export function leanSettings(settings: Settings): Partial<Settings> {
  const usual: Partial<Record<string, unknown>> = { ...usualParts, domain: '' };
  return Object.fromEntries(
    Object.entries(settings).filter(([key, value]) => !(key in usual) || !isSame(value, usual[key])),
  );
}

/** The same document: of looks and other parts, the order of their keys does not matter. */
function isSame(a: unknown, b: unknown): boolean {
  return canonicalJson(a) === canonicalJson(b);
}
