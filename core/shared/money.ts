/**
 * Money is an integer number of minor units (cents) of the shop's currency. No Zod here: the storefront ships this file.
 */

/** Minor units per major unit; every currency Dispona offers so far has two decimals. */
const MINOR_UNITS = 100;

/** No amount takes so many characters. */
const LONGEST = 60;

/** The mark that parts thousands in a language: "," in English, "." in German. */
function thousandsMark(locale: string): string {
  const parts = new Intl.NumberFormat(locale, { useGrouping: 'always' }).formatToParts(1_000_000);
  return parts.find(({ type }) => type === 'group')?.value ?? '';
}

/**
 * Reads an amount as people type it ("24", "24.5", "1.024,50", "€ 24") into minor units. Returns undefined when it is not an
 * amount. The last comma or point counts as the decimal mark when one or two digits follow it. A single one before three
 * digits parts thousands only where the language does so: "1.999" is no amount in English, and 1999.00 in German.
 */
export function parseMoney(typed: string, locale = 'en'): number | undefined {
  if (typed.length > LONGEST) return undefined;
  const text = typed.replace(/[\s\u00a0€$£]/g, '');
  const match = /^(-?)([\d.,]*\d)$/.exec(text);
  if (!match) return undefined;
  const digits = match[2]!;
  const decimal = /[.,](\d{1,2})$/.exec(digits);
  const whole = decimal ? digits.slice(0, decimal.index) : digits;
  if (!/^\d{1,3}([.,]\d{3})*$|^\d*$/.test(whole)) return undefined;
  const marks = whole.replace(/\d/g, '');
  if (!decimal && marks.length === 1 && marks !== thousandsMark(locale)) return undefined;
  const cents = decimal ? decimal[1]!.padEnd(2, '0') : '00';
  return (match[1] ? -1 : 1) * Number(whole.replace(/[.,]/g, '') + cents);
}

/** Minor units as a plain decimal for an input field: 2450 → "24.50". */
export function plainAmount(minor: number): string {
  return (minor / MINOR_UNITS).toFixed(2);
}

const formatters = new Map<string, Intl.NumberFormat>();

/** Minor units as shown to people: 2450, "EUR" → "€24.50". */
export function formatMoney(minor: number, currency: string, locale = 'en'): string {
  const key = `${locale} ${currency}`;
  let formatter = formatters.get(key);
  if (!formatter) {
    formatter = new Intl.NumberFormat(locale, { style: 'currency', currency });
    formatters.set(key, formatter);
  }
  return formatter.format(minor / MINOR_UNITS);
}

/** "€24.00" or "€24.00–39.00" for a lowest and a highest price. */
export function formatPriceRange(min: number, max: number, currency: string, locale = 'en'): string {
  if (min === max) return formatMoney(min, currency, locale);
  return locale.startsWith('en')
    ? `${formatMoney(min, currency, locale)}–${plainAmount(max)}`
    : `${formatMoney(min, currency, locale)} – ${formatMoney(max, currency, locale)}`;
}
