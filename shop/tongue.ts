import { pagesEnglish } from '../core/languages/fixed/pages-en';
import { sayer, type Say, type Spoken } from '../core/languages/fixed/say';
import { formatMoney, formatPriceRange } from '../core/shared/money';

export type PageKey = keyof typeof pagesEnglish;

/** The language that pages are drawn in: set before a page is drawn, which happens in one go, and never while it is. */
let locale = 'en';
let spoken: Say<PageKey> = sayer('en', pagesEnglish);
/** before the addresses of what is no page: basket, checkout, public data */
let before = '';

/** Draws pages in a language from now on. `own`: words that the seller put in place of those
 * of the catalog; `base`: what stands before addresses. */
export function speak(
  language: string,
  catalog: Readonly<Record<PageKey, Spoken>> = pagesEnglish,
  own: Readonly<Record<string, string>> = {},
  base = '',
): void {
  locale = language;
  before = base;
  spoken = sayer(language, catalog, own);
}

/** An address of the basket, of the checkout or of public data, which answers in the language of the page. */
export const inTongue = (path: string): string => before + path;

/** Says fixed words of the pages in their language. */
export const say: Say<PageKey> = (key, filled) => spoken(key, filled);

/** An amount in minor units as the language of the page writes it. */
export const inMoney = (minor: number, currency: string): string => formatMoney(minor, currency, locale);

/** A lowest and a highest amount in one. */
export const moneyRange = (low: number, high: number, currency: string): string =>
  formatPriceRange(low, high, currency, locale);

/** The language of the page. */
export const spokenLocale = (): string => locale;
