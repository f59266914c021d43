import { z } from 'zod';
import { ruleSchema } from './rule';
import { barcodeProblem, plainBarcode } from '../shared/barcode';
import { idSchema } from '../shared/identity';
import { translatable } from './translatable';

export const productKinds = ['physical', 'digital', 'service', 'giftCard', 'bundle'] as const;
export const productKindSchema = z.enum(productKinds);
export type ProductKind = z.infer<typeof productKindSchema>;

/** draft: never shown yet; live: shown from the next edition on; off: taken off the shop. */
export const statuses = ['draft', 'live', 'off'] as const;
export const statusSchema = z.enum(statuses);
export type Status = z.infer<typeof statusSchema>;

export const titleSchema = z
  .string()
  .trim()
  .min(1, 'A product needs a title.')
  .max(200, 'A title can have at most 200 characters.');

/** Money is an integer number of minor units (cents) of the shop's currency. */
export const moneySchema = z
  .number({ error: 'Type an amount, like 24.50.' })
  .int('Amounts have at most two decimals.')
  .min(0, 'A price cannot be below zero.')
  .max(1_000_000_000, 'This amount is too large.');

/** Numbers of things kept, or null when they are not counted. */
export const stockSchema = z
  .number({ error: 'Type a whole number, or leave it empty to not count.' })
  .int('Stock is a whole number.')
  .min(0, 'Stock cannot be below zero.')
  .max(10_000_000, 'This is more than Dispona counts.')
  .nullable();

/** A moment, UTC; null when there is none. */
export const momentSchema = z.iso.datetime({ error: 'Choose a day and a time.' }).nullable();

export const taxClasses = ['standard', 'reduced', 'zero'] as const;
export const taxClassSchema = z.enum(taxClasses);

/** What happens to a product whose variants are all sold out. */
export const whenSoldOutChoices = ['keep', 'last', 'hide', 'order'] as const;
export const whenSoldOutSchema = z.enum(whenSoldOutChoices);
export type WhenSoldOut = z.infer<typeof whenSoldOutSchema>;

/** From this many pieces on, each costs so much less; `off` in basis points. */
export const quantityPriceSchema = z.object({
  from: z
    .number({ error: 'Type a whole number.' })
    .int('Type a whole number.')
    .min(2, 'A quantity price begins at 2 pieces.')
    .max(100_000, 'This is more than Dispona counts.'),
  off: z
    .number({ error: 'Type a percentage.' })
    .int('At most two decimals.')
    .min(1, 'The reduction must be above zero.')
    .max(9_500, 'At most 95 % off.'),
});
export type QuantityPrice = z.infer<typeof quantityPriceSchema>;

/** What a unit price is told per. */
export const unitPricings = ['m', '100g', 'kg', '100ml', 'l', 'piece'] as const;
export const unitPricingSchema = z.enum(unitPricings);
export type UnitPricing = z.infer<typeof unitPricingSchema>;

/** Length, width and height of the package, mm. */
const edgeSchema = z
  .number({ error: 'Type a length.' })
  .int()
  .min(1, 'A length must be above zero.')
  .max(100_000, 'At most 100 m.');
export const packageSizeSchema = z.object({ length: edgeSchema, width: edgeSchema, height: edgeSchema });
export type PackageSize = z.infer<typeof packageSizeSchema>;

/** g */
export const weightSchema = z
  .number({ error: 'Type a weight, like 350 g or 1.2 kg.' })
  .int()
  .min(0, 'A weight cannot be below zero.')
  .max(10_000_000, 'At most 10 t.')
  .nullable();

export const packageTypeSchema = z.string().trim().max(80, 'At most 80 characters.');

export const dispatchDaysSchema = z
  .number({ error: 'Type a number of days.' })
  .int('Type whole days.')
  .min(0, 'Days cannot be below zero.')
  .max(365, 'At most a year.')
  .nullable();

/** How often, and for how many days, a bought file can be fetched; no end when null. */
export const downloadLimitSchema = z
  .number({ error: 'Type a whole number, or nothing for no limit.' })
  .int('Type a whole number.')
  .min(1, 'At least one download.')
  .max(1_000, 'At most 1,000; leave it empty for no limit.')
  .nullable();
export const downloadDaysSchema = z
  .number({ error: 'Type a number of days, or nothing for no end.' })
  .int('Type whole days.')
  .min(1, 'At least one day.')
  .max(3_650, 'At most ten years; leave it empty for no end.')
  .nullable();

/** Thousandths of a metre, kilogram, litre or piece. */
export const contentSchema = z
  .number({ error: 'Type how much is in it, like 50 m.' })
  .int()
  .min(1, 'The content must be above zero.')
  .max(1_000_000_000, 'This is too much.')
  .nullable();

/** minutes */
export const durationSchema = z
  .number({ error: 'Type a duration, like 90 min or 3 h.' })
  .int()
  .min(1, 'A duration must be above zero.')
  .max(525_600, 'At most a year.')
  .nullable();

/** Lowest and highest value of a gift card that a shopper chooses, minor units. */
export const ownValueSchema = z
  .object({ from: moneySchema, upTo: moneySchema })
  .refine(({ from, upTo }) => from < upTo, { error: 'The highest value must be above the lowest.', path: ['upTo'] })
  .nullable();

export const barcodeSchema = z
  .string()
  .trim()
  .superRefine((code, context) => {
    const problem = barcodeProblem(code);
    if (problem) context.addIssue({ code: 'custom', message: problem });
  })
  .transform(plainBarcode);

/** The number of goods in the tariff of customs, blanks and dots left out; '' when it is not known. */
export const customsCodeSchema = z
  .string()
  .transform((code) => code.replace(/[\s.]/g, ''))
  .refine((code) => /^(\d{6,12})?$/.test(code), 'A customs code has 6 to 12 digits.');

export const customFieldSchema = z.object({
  label: translatable(
    z.string().trim().min(1, 'A field needs a name.').max(80, 'At most 80 characters.'),
    'name of an own field',
  ),
  value: translatable(z.string().trim().max(1_000, 'At most 1,000 characters.'), 'own field'),
});

/** Which products stand beside a product, by its page. */
export const relationSchema = z.discriminatedUnion('how', [
  z.object({ how: z.literal('none') }),
  z.object({ how: z.literal('sameCategory') }),
  z.object({ how: z.literal('rule'), rule: ruleSchema }),
  z.object({ how: z.literal('picked'), ids: z.array(idSchema).max(24, 'At most 24 products.') }),
]);
export type Relation = z.infer<typeof relationSchema>;
export const relationKinds = ['goesWith', 'stepUp', 'similar'] as const;
export type RelationKind = (typeof relationKinds)[number];

export const focusSchema = z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) });

/** fills: covers the shop's frame around its focus point; fits: is wholly visible on its background. */
export const fitSchema = z.enum(['fills', 'fits']);

export const pictureSchema = z.object({
  id: idSchema,
  /** content hash of the upload; the address of its sizes is made from it */
  media: z.string(),
  width: z.number().int(),
  height: z.number().int(),
  alt: translatable(z.string(), 'alt text'),
  focus: focusSchema,
  fit: fitSchema,
  /** colour of its edge, such as #f4efe6 */
  background: z.string(),
});
export type Picture = z.infer<typeof pictureSchema>;

export const swatchSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/i, 'A swatch colour looks like #e4572e.')
  .nullable();

/** Why stock is moved. */
export const stockReasons = ['delivered', 'counted', 'returned', 'damaged', 'other'] as const;
export type StockReason = (typeof stockReasons)[number];
