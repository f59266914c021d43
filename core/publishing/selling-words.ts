import { countryName } from '../model/countries';
import {
  paymentKinds,
  type DeliveryOption,
  type OfferSettings,
  type Selling,
  type TaxRates,
  type TaxSettings,
} from '../model/selling';
import { floorWords } from '../pricing/offer-words';
import { formatMoney, plainAmount } from '../shared/money';
import { momentWords } from '../shared/moment';
import { weightWords } from '../shared/units';
import type { Shop } from '../shop/shop';

type Told = [label: string, words: string];

const percent = (basisPoints: number) => `${basisPoints / 100} %`;
const yesNo = (is: boolean) => (is ? 'yes' : 'no');

const countryWords = ({ settings }: Shop, codes: readonly string[]) =>
  codes.map((code) => countryName(code, settings.locale)).join(', ');

const ratesWords = (shop: Shop, rates: readonly TaxRates[]) =>
  rates
    .map(({ from, standard, reduced }) => {
      const since = from === null ? '' : ` from ${momentWords(from, shop.settings.timeZone)}`;
      return `${percent(standard)}, reduced ${percent(reduced)}${since}`;
    })
    .join('; ');

export const taxFields = (shop: Shop, tax: TaxSettings): Told[] => [
  ['Small-business exemption', tax.exempt ? tax.exemptWords || 'yes' : 'no'],
  ['Coming tax rates', ratesWords(shop, tax.changes)],
  ...tax.zones.map(({ countries, prices, rates }): Told => [
    `Tax in ${countryWords(shop, countries)}`,
    `${ratesWords(shop, rates)}; ${prices === 'same' ? 'part of the same prices' : 'added to prices without tax'}`,
  ]),
];

export const offerSettingsFields = ({ floor, rounding }: OfferSettings): Told[] => [
  ['Floor of offers', floorWords({ floor: null }, floor)],
  [
    'Endings of offers',
    rounding
      ? `${plainAmount(rounding.ending)} of each ${plainAmount(rounding.step)}, ${rounding.way}`
      : 'as they come',
  ],
];

function stepsWords({ settings: { currency } }: Shop, { by, steps }: DeliveryOption): string {
  const amount = (upTo: number) =>
    by === 'weight' ? weightWords(upTo) : by === 'price' ? formatMoney(upTo, currency) : `${upTo} pieces`;
  return steps
    .map(({ upTo, price }) => `${formatMoney(price, currency)}${upTo === null ? '' : ` up to ${amount(upTo)}`}`)
    .join(', ');
}

const buttonWords = {
  drawer: 'the drawer with the basket',
  basket: 'the basket',
  checkout: 'straight to the checkout',
};

export const sellingFields = (shop: Shop, selling: Selling): Told[] => {
  const money = (amount: number) => formatMoney(amount, shop.settings.currency);
  return [
    ['The button leads to', buttonWords[selling.button]],
    ['Country of the shop', countryWords(shop, [selling.country])],
    ['Delivers to', countryWords(shop, selling.countries)],
    ['Terms to agree to', selling.terms],
    ...selling.delivery.flatMap((option): Told[] => [
      [
        `Delivery: ${option.name}`,
        [
          stepsWords(shop, option),
          option.freeFrom === null ? '' : `free from ${money(option.freeFrom)}`,
          option.isCollected ? 'collected' : '',
          option.countries.length > 0 ? `to ${countryWords(shop, option.countries)}` : '',
          option.largest ? `up to ${Object.values(option.largest).join(' × ')} mm` : '',
          option.words,
          option.isOn ? '' : 'off',
        ]
          .filter(Boolean)
          .join('; '),
      ],
    ]),
    ...selling.payments.map(({ name, kind, words, isOn, fee }): Told => [
      `Payment: ${name}`,
      [paymentKinds[kind], fee > 0 ? `${money(fee)} more` : '', words, `offered: ${yesNo(isOn)}`]
        .filter(Boolean)
        .join('; '),
    ]),
  ];
};
