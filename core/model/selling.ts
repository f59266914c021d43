import { z } from 'zod';
import { roundingSchema } from './rounding';
import { idSchema } from '../shared/identity';
import { countrySchema } from './countries';
import { momentSchema, moneySchema, packageSizeSchema } from './product-values';
import { translatable } from './translatable';

const line = (most: number) => z.string().trim().max(most, `At most ${most} characters.`);
const rateSchema = z
  .number({ error: 'Type a percentage.' })
  .int('At most two decimals.')
  .min(0, 'A tax rate cannot be below zero.')
  .max(10_000, 'At most 100 %.');
const countries = z.array(countrySchema).max(250);

/** Rates that hold from a moment on, basis points. */
const ratesSchema = z.strictObject({ from: momentSchema, standard: rateSchema, reduced: rateSchema });
export type TaxRates = z.infer<typeof ratesSchema>;

/** Tax beyond the rates of the shop's own country, which are settings of their own. */
export const taxSettingsSchema = z.object({
  /** no tax is charged at all, as small businesses may */
  exempt: z.boolean(),
  /** printed on invoices while it is so */
  exemptWords: translatable(line(200), 'words about tax'),
  /** when the rates of the shop's own country change */
  changes: z.array(ratesSchema).max(20, 'At most 20.'),
  zones: z
    .array(
      z.strictObject({
        id: idSchema,
        countries: countries.min(1, 'Choose at least one country.'),
        /** same: shoppers pay the same price, with this tax in it; added: prices without tax, this tax added */
        prices: z.enum(['same', 'added']),
        rates: z.array(ratesSchema).min(1, 'A zone needs a rate.').max(20, 'At most 20.'),
      }),
    )
    .max(60, 'At most 60.'),
});
export type TaxSettings = z.infer<typeof taxSettingsSchema>;
export const noTaxSettings: TaxSettings = {
  exempt: false,
  exemptWords: 'No tax is charged under the small-business scheme.',
  changes: [],
  zones: [],
};

/** How offers may price. */
export const offerSettingsSchema = z.object({
  /** basis points above cost below which no offer takes a price; null for no floor */
  floor: z
    .number({ error: 'Type a percentage.' })
    .int('At most two decimals.')
    .min(0, 'At least 0 %.')
    .max(100_000, 'At most 1,000 %.')
    .nullable(),
  /** how prices that an offer makes end; null for as they come */
  rounding: roundingSchema.nullable(),
});
export type OfferSettings = z.infer<typeof offerSettingsSchema>;
export const usualOfferSettings: OfferSettings = { floor: 0, rounding: null };

const deliveryStep = z.strictObject({
  /** g, minor units or pieces; null for no end */
  upTo: z.number({ error: 'Type a number.' }).int().min(1, 'Above zero.').max(1_000_000_000).nullable(),
  price: moneySchema,
});
export const deliveryOptionSchema = z.strictObject({
  id: idSchema,
  name: translatable(line(80).min(1, 'A way of delivery needs a name.'), 'way of delivery'),
  words: translatable(line(200), 'words about a way of delivery'),
  isOn: z.boolean(),
  /** true: shoppers come for it, so that no address is asked for */
  isCollected: z.boolean(),
  /** empty stands for all */
  countries,
  by: z.enum(['weight', 'price', 'pieces']),
  /** in rising order; what goes beyond the last one is not taken */
  steps: z.array(deliveryStep).min(1, 'A way of delivery needs a price.').max(20, 'At most 20 steps.'),
  /** free from this sum of goods on; null for never */
  freeFrom: moneySchema.nullable(),
  /** largest package that is taken, mm; null for any */
  largest: packageSizeSchema.nullable(),
});
export type DeliveryOption = z.infer<typeof deliveryOptionSchema>;

export const paymentKinds = {
  transfer: 'Bank transfer',
  onCollection: 'Paid on collection',
  card: 'Card (simulated)',
} as const;
export type PaymentKind = keyof typeof paymentKinds;
export const paymentOptionSchema = z.strictObject({
  id: idSchema,
  kind: z.enum(Object.keys(paymentKinds) as [PaymentKind, ...PaymentKind[]]),
  name: translatable(line(80).min(1, 'A way to pay needs a name.'), 'way to pay'),
  words: translatable(line(400), 'words about a way to pay'),
  isOn: z.boolean(),
  /** added to the order, minor units */
  fee: moneySchema,
});
export type PaymentOption = z.infer<typeof paymentOptionSchema>;

/** How the shop sells: the basket, ways of delivery and ways to pay. */
export const sellingSchema = z.object({
  /** where the button on products leads */
  button: z.enum(['drawer', 'basket', 'checkout']),
  /** the shop's own country */
  country: countrySchema,
  /** where goods are sent; empty stands for the shop's own country alone */
  countries,
  delivery: z.array(deliveryOptionSchema).max(30, 'At most 30.'),
  payments: z.array(paymentOptionSchema).max(20, 'At most 20.'),
  /** what shoppers agree to; empty for nothing */
  terms: translatable(line(200), 'terms'),
});
export type Selling = z.infer<typeof sellingSchema>;

export const usualSelling: Selling = {
  button: 'drawer',
  country: 'NL',
  countries: [],
  delivery: [
    {
      id: 'dlv_usualparcel',
      name: 'Parcel',
      words: '',
      isOn: true,
      isCollected: false,
      countries: [],
      by: 'weight',
      steps: [{ upTo: null, price: 595 }],
      freeFrom: null,
      largest: null,
    },
  ],
  payments: [{ id: 'pay_usualtransfer', kind: 'transfer', name: 'Bank transfer', words: '', isOn: true, fee: 0 }],
  terms: '',
};
