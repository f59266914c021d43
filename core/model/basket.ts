import { z } from 'zod';
import { idSchema } from '../shared/identity';
import { countrySchema } from './countries';

/** Most pieces of one line, and most lines of one basket. */
export const MOST_PIECES = 999;
export const MOST_LINES = 100;

export const quantitySchema = z
  .number({ error: 'Type how many.' })
  .int('Type a whole number.')
  .min(1, 'At least one.')
  .max(MOST_PIECES, `At most ${MOST_PIECES} of one thing.`);

/** What stands in a slot of a bundle. */
export const basketPartSchema = z.strictObject({
  slotId: idSchema,
  variantId: idSchema,
  quantity: z.number().int().min(1).max(99),
});
export type BasketPart = z.infer<typeof basketPartSchema>;

const basketEntrySchema = z.strictObject({
  /** of the line; what is alike has the same */
  key: z.string().min(1).max(2_000),
  productId: idSchema,
  variantId: idSchema,
  quantity: quantitySchema,
  /** of a bundle: what was chosen */
  parts: z.array(basketPartSchema).max(200),
  /** of a gift card of the shopper's own value, minor units */
  value: z.number().int().min(1).max(1_000_000_00).nullable(),
  /** price of one piece when the shopper last changed something: what it is compared with */
  seen: z.number().int().nullable(),
});
export type BasketEntry = z.infer<typeof basketEntrySchema>;

/** What a basket holds, as it is stored. Prices and stock are looked up at each sight. */
export const basketContentsSchema = z.strictObject({
  entries: z.array(basketEntrySchema).max(MOST_LINES),
  /** codes of offers and of gift cards, in capitals */
  codes: z.array(z.string().max(40)).max(10),
  note: z.string().max(1_000),
  /** null until the shopper chooses one */
  country: countrySchema.nullable(),
  deliveryId: z.string().max(60).nullable(),
  /** what was taken out last, so that it can be put back */
  removed: basketEntrySchema.nullable(),
});
export type BasketContents = z.infer<typeof basketContentsSchema>;
export const emptyBasket: BasketContents = {
  entries: [],
  codes: [],
  note: '',
  country: null,
  deliveryId: null,
  removed: null,
};

/** The key of a line: the same things chosen the same way are one line. */
export const entryKey = ({ variantId, parts, value }: Pick<BasketEntry, 'variantId' | 'parts' | 'value'>): string =>
  [
    variantId,
    ...parts.map((part) => `${part.slotId}.${part.variantId}.${part.quantity}`),
    ...(value === null ? [] : [`v${value}`]),
  ].join('~');

/** A code as it is compared: in capitals, without blanks and hyphens. */
export const plainCode = (typed: string): string => typed.toUpperCase().replace(/[\s-]/g, '').slice(0, 40);
