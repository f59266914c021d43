import type { Offer } from '../model/offer';
import { countryName } from '../model/countries';
import { countWords } from '../shared/count-words';
import { formatMoney } from '../shared/money';
import { actionWords } from './offer-actions/offer-actions';
import { percentWords } from './offer-actions/offer-action';

/** What words of an offer need of the shop. */
export interface OfferTongue {
  currency: string;
  locale: string;
}

const weekdayNames = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const clock = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** What an offer does, in a few words: "10 % off", "3 for the price of 2". */
export const offerDoes = ({ action }: Pick<Offer, 'action'>, { currency, locale }: OfferTongue): string =>
  actionWords(action, (amount) => formatMoney(amount, currency, locale));

/** The weekdays and hours at which an offer holds; empty where it holds all the time. */
export function offerTimes({ weekdays, hours }: Pick<Offer, 'weekdays' | 'hours'>): string {
  const days = [...weekdays].sort((a, b) => a - b).map((day) => weekdayNames[day - 1]);
  return [
    ...(days.length > 0 ? [`on ${days.join(', ')}`] : []),
    ...(hours ? [`from ${clock(hours.from)} to ${clock(hours.until)}`] : []),
  ].join(' ');
}

/** What an offer asks of the basket and of the shopper, each in words; none for an offer that everybody gets. */
export function offerConditions(offer: Offer, { currency, locale }: OfferTongue): string[] {
  const { subtotal, pieces, needsCode, countries, firstOrder, uses, usesPerShopper } = offer;
  const times = (count: number) => (count === 1 ? 'once' : `${count} times`);
  return [
    ...(needsCode ? ['with a code'] : []),
    ...(subtotal === null ? [] : [`from ${formatMoney(subtotal, currency, locale)} in the basket`]),
    ...(pieces === null ? [] : [`from ${countWords(pieces, 'piece', 'pieces')}`]),
    ...(countries.length === 0 ? [] : [`for ${countries.map((code) => countryName(code, locale)).join(', ')}`]),
    ...(firstOrder ? ['on the first order'] : []),
    ...(uses === null ? [] : [`${times(uses)} in all`]),
    ...(usesPerShopper === null ? [] : [`${times(usesPerShopper)} for each shopper`]),
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
