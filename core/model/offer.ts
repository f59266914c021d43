import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { countrySchema } from './countries';
import { offerActionSchema } from './offer-action';
import { momentSchema, moneySchema } from './product-values';
import { MOST_PLACED } from './group-fields';
import { ruleSchema } from './rule';
import { translatable } from './translatable';

const DAY_MINUTES = 24 * 60;
const minuteSchema = z.number().int().min(0).max(DAY_MINUTES);
const wholeNumber = (most: number) =>
  z
    .number({ error: 'Type a whole number.' })
    .int('Type a whole number.')
    .min(1, 'At least one.')
    .max(most, `At most ${most}.`);

/** Which goods an offer is for. */
export const offerGoodsSchema = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('all') }),
  z.strictObject({ how: z.literal('rule'), rule: ruleSchema }),
  z.strictObject({
    how: z.literal('picked'),
    ids: z.array(idSchema).max(MOST_PLACED, `At most ${MOST_PLACED} goods.`),
  }),
]);
export type OfferGoods = z.infer<typeof offerGoodsSchema>;

const offerShape = z.strictObject({
  id: idSchema,
  /** as shoppers read it */
  name: translatable(z.string().trim().min(1, 'An offer needs a name.').max(120, 'At most 120 characters.'), 'name'),
  /** false: kept, and does nothing */
  isOn: z.boolean(),
  goods: offerGoodsSchema,
  action: offerActionSchema,
  /** UTC moments between which it holds; open where null */
  from: momentSchema,
  until: momentSchema,
  /** 1 is Monday; empty stands for every day */
  weekdays: z.array(z.number().int().min(1).max(7)).max(7),
  /** minutes of the day in the shop's zone, `until` excluded; null stands for all day */
  hours: z
    .strictObject({ from: minuteSchema, until: minuteSchema })
    .refine(({ from, until }) => from < until, { error: 'The last hour must come after the first.', path: ['until'] })
    .nullable(),
  /** least sum of the goods in the basket, before offers on the basket */
  subtotal: moneySchema.nullable(),
  /** least number of pieces in the basket of the goods that the offer is for */
  pieces: wholeNumber(999).nullable(),
  needsCode: z.boolean(),
  /** empty stands for all */
  countries: z.array(countrySchema).max(250),
  firstOrder: z.boolean(),
  /** the higher one is looked at first */
  priority: z
    .number({ error: 'Type a whole number.' })
    .int('Type a whole number.')
    .min(0, 'At least 0.')
    .max(99, 'At most 99.'),
  /** it comes off prices that are reduced already; otherwise the shopper gets whatever is better */
  stacks: z.boolean(),
  /** basis points above cost below which it takes no price; null: as the shop has it */
  floor: z
    .number({ error: 'Type a percentage.' })
    .int('At most two decimals.')
    .min(0, 'At least 0 %.')
    .max(100_000, 'At most 1,000 %.')
    .nullable(),
  /** how often it can be used in all, and by one shopper; null for no limit */
  uses: wholeNumber(1_000_000).nullable(),
  usesPerShopper: wholeNumber(1_000).nullable(),
});

/** What does not fit together in an offer, at its field. */
export const offerSchema = offerShape.superRefine(({ from, until }, context) => {
  if (from !== null && until !== null && Date.parse(until) <= Date.parse(from))
    context.addIssue({ code: 'custom', path: ['until'], message: 'The end must come after the beginning.' });
});
export type Offer = z.infer<typeof offerShape>;
export const someOfferSchema = offerShape.omit({ id: true }).partial();

/** An offer before anybody has changed it: off, so that nothing is given away while it is made. */
export const newOffer = (id: string, name: string): Offer => ({
  id,
  name,
  isOn: false,
  goods: { how: 'rule', rule: { match: 'all', of: [] } },
  action: { does: 'percent', off: 1_000 },
  from: null,
  until: null,
  weekdays: [],
  hours: null,
  subtotal: null,
  pieces: null,
  needsCode: false,
  countries: [],
  firstOrder: false,
  priority: 10,
  stacks: false,
  floor: null,
  uses: null,
  usesPerShopper: null,
});

/** What the fields of an offer are called inside a sentence: "the floor was changed". */
export const offerWords: Readonly<Record<Exclude<keyof Offer, 'id'>, string>> = {
  name: 'name',
  isOn: 'switch',
  goods: 'choice of goods',
  action: 'what it gives',
  from: 'first day',
  until: 'last day',
  weekdays: 'weekdays',
  hours: 'hours',
  subtotal: 'smallest sum',
  pieces: 'number of pieces',
  needsCode: 'choice of a code',
  countries: 'countries',
  firstOrder: 'choice of first orders',
  priority: 'priority',
  stacks: 'choice of other offers',
  floor: 'floor',
  uses: 'number of uses',
  usesPerShopper: 'uses of each shopper',
};
