import type { Offer } from '../model/offer';
import { countryName } from '../model/countries';
import { sayEnglish, type ToldKey } from '../languages/fixed/english';
import type { Say } from '../languages/fixed/say';
import { formatMoney } from '../shared/money';
import { actionWords } from './offer-actions/offer-actions';
import { percentWords } from './offer-actions/offer-action';

/** What words of an offer need of the shop. */
export interface OfferTongue {
  currency: string;
  locale: string;
  /** says fixed words; in English where it is not given */
  say?: Say<ToldKey>;
}

/** The first Monday of 1970 was its fifth day. */
const weekdayName = (day: number, locale: string) =>
  new Intl.DateTimeFormat(locale, { weekday: 'long', timeZone: 'UTC' }).format(Date.UTC(1970, 0, 4 + day));
const clock = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** What an offer does, in a few words: "10 % off", "3 for the price of 2". */
export const offerDoes = ({ action }: Pick<Offer, 'action'>, { currency, locale, say }: OfferTongue): string =>
  actionWords(action, (amount) => formatMoney(amount, currency, locale), say);

/** The weekdays and hours at which an offer holds; empty where it holds all the time. */
export function offerTimes(
  { weekdays, hours }: Pick<Offer, 'weekdays' | 'hours'>,
  { locale = 'en', say = sayEnglish }: Partial<Pick<OfferTongue, 'locale' | 'say'>> = {},
): string {
  const days = [...weekdays].sort((a, b) => a - b).map((day) => weekdayName(day, locale));
  return [
    ...(days.length > 0 ? [say('offer.onDays', { days: days.join(', ') })] : []),
    ...(hours ? [say('offer.hours', { from: clock(hours.from), until: clock(hours.until) })] : []),
  ].join(' ');
}

/** What an offer asks of the basket and of the shopper, each in words; none for an offer that everybody gets. */
export function offerConditions(offer: Offer, { currency, locale, say = sayEnglish }: OfferTongue): string[] {
  const { subtotal, pieces, needsCode, countries, firstOrder, uses, usesPerShopper } = offer;
  return [
    ...(needsCode ? [say('offer.withCode')] : []),
    ...(subtotal === null ? [] : [say('offer.subtotal', { sum: formatMoney(subtotal, currency, locale) })]),
    ...(pieces === null ? [] : [say('offer.pieces', { count: pieces })]),
    ...(countries.length === 0
      ? []
      : [say('offer.countries', { countries: countries.map((code) => countryName(code, locale)).join(', ') })]),
    ...(firstOrder ? [say('offer.firstOrder')] : []),
    ...(uses === null ? [] : [say('offer.usesInAll', { count: uses })]),
    ...(usesPerShopper === null ? [] : [say('offer.usesEach', { count: usesPerShopper })]),
  ];
}

/** The floor of an offer in words; `usual` is the shop's. */
export function floorWords({ floor }: Pick<Offer, 'floor'>, usual: number | null): string {
  const above = floor ?? usual;
  return above === null
    ? 'no floor'
    : above === 0
      ? 'never below cost'
      : `never below cost plus ${percentWords(above)}`;
}
