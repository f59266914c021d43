import type { taxClasses } from '../model/product-values';
import type { TaxRates, TaxSettings } from '../model/selling';
import type { Settings } from '../model/settings';
import { apportion } from '../shared/apportion';
import { secondsOf } from '../shared/moment';

export type TaxClass = (typeof taxClasses)[number];

/** What of the settings bears on tax. */
export type TaxOfShop = Pick<Settings, 'taxRate' | 'reducedTaxRate' | 'taxIncluded' | 'tax'>;

/** What the tax classes are called. */
export const taxClassNames: Record<TaxClass, string> = {
  standard: 'Standard',
  reduced: 'Reduced',
  zero: 'No tax',
};

/** The last of these rates that holds at `now` (seconds since 1970). */
function ratesAt(rates: readonly TaxRates[], now: number): TaxRates | undefined {
  let found: TaxRates | undefined;
  let since = -Infinity;
  for (const each of rates) {
    const from = each.from === null ? 0 : secondsOf(each.from);
    if (from <= now && from >= since) [found, since] = [each, from];
  }
  return found;
}

const rateOf = ({ standard, reduced }: Pick<TaxRates, 'standard' | 'reduced'>, taxClass: TaxClass) =>
  ({ standard, reduced, zero: 0 })[taxClass];

/** Tax rate of a class in the shop's own country at `now` (seconds since 1970), basis points. */
export function taxRateOf({ taxRate, reducedTaxRate, tax }: TaxOfShop, taxClass: TaxClass, now: number): number {
  if (tax.exempt) return 0;
  return rateOf(ratesAt(tax.changes, now) ?? { standard: taxRate, reduced: reducedTaxRate }, taxClass);
}

/** The moments at which a rate of the shop's own country changes. */
export const taxMoments = ({ tax }: Pick<TaxOfShop, 'tax'>): (string | null)[] => tax.changes.map(({ from }) => from);

/** How goods are priced and taxed for a country. */
export interface CountryTax {
  /** basis points, by class */
  rate: (taxClass: TaxClass) => number;
  /** true: prices contain the tax; false: it is added */
  included: boolean;
  /** a price of the shop as it is asked in this country, minor units */
  asked: (price: number, taxClass: TaxClass) => number;
}

const zoneOf = ({ zones }: TaxSettings, country: string) => zones.find(({ countries }) => countries.includes(country));

/**
 * Tax for shoppers of a country at `now` (seconds since 1970): that of the shop's own, unless a zone says otherwise. In a zone
 * of prices that stay the same the tax is part of them; in others the shop's own tax comes off, and theirs is added.
 */
export function taxOfCountry(shop: TaxOfShop, country: string, now: number): CountryTax {
  const { taxIncluded, tax } = shop;
  const home = (taxClass: TaxClass) => taxRateOf(shop, taxClass, now);
  const zone = tax.exempt ? undefined : zoneOf(tax, country);
  const rates = zone && ratesAt(zone.rates, now);
  if (!zone || !rates) return { rate: home, included: taxIncluded, asked: (price) => price };
  const rate = (taxClass: TaxClass) => rateOf(rates, taxClass);
  const included = zone.prices === 'same';
  if (included === taxIncluded) return { rate, included, asked: (price) => price };
  return included
    ? { rate, included, asked: (price, taxClass) => price + taxOn(price, rate(taxClass), false) }
    : { rate, included, asked: (price, taxClass) => price - taxOn(price, home(taxClass), true) };
}

/** The tax in an amount, or on it, rounded half away from zero. `rate` in basis points. */
export function taxOn(amount: number, rate: number, included: boolean): number {
  return included ? amount - Math.round((amount * 10_000) / (10_000 + rate)) : Math.round((amount * rate) / 10_000);
}

export interface TaxedAmount {
  amount: number;
  /** basis points */
  rate: number;
}

/** Tax of one rate: `net` and `tax` in minor units. */
export interface TaxSum {
  rate: number;
  net: number;
  tax: number;
}

/**
 * Tax of each amount and of each rate. It is worked out on the sum of each rate, rounded once, and parted among its amounts,
 * so that lines add up to their rate, and rates to the total, to the cent. O(n log n).
 */
export function taxesOf(amounts: readonly TaxedAmount[], included: boolean): { each: number[]; sums: TaxSum[] } {
  const each = amounts.map(() => 0);
  const rates = [...new Set(amounts.map(({ rate }) => rate))].sort((a, b) => b - a);
  const sums = rates.map((rate): TaxSum => {
    const places = amounts.flatMap((amount, at) => (amount.rate === rate ? [at] : []));
    const total = places.reduce((sum, at) => sum + amounts[at]!.amount, 0);
    const tax = taxOn(total, rate, included);
    const parts = apportion(
      tax,
      places.map((at) => amounts[at]!.amount),
    );
    places.forEach((at, i) => (each[at] = parts[i]!));
    return { rate, net: included ? total - tax : total, tax };
  });
  return { each, sums };
}
